# shellcheck shell=bash
# What each command does, in words; asking does nothing else.
help_all() {
	cat <<-'END'
	./lustrum start [--empty]   installs what is missing and starts Lustrum with the demo workspace
	./lustrum stop              stops everything that start started
	./lustrum test [PART]       runs all checks and tests, or a part of them
	./lustrum reset             throws the data away and loads the demo workspace anew
	./lustrum backup FILE       writes database and files to one file, while people work
	./lustrum restore FILE      puts them back
	./lustrum check [FILE]      reads every file against its hash, here or in a backup
	./lustrum bench             measures the budgets
	./lustrum simulate          says how often each kind of sentence is false
	./lustrum COMMAND --help    says more
	Ports: LUSTRUM_PORT (8420) for the application, LUSTRUM_DB_PORT (8421) for its database.
	END
}

help_of() { # COMMAND
	case "$1" in
		start) cat <<-'END' ;;
			./lustrum start [--empty]
			Installs what is missing (Debian's packages, the libraries of PHP and of the front end), makes the database, brings it
			up to date, loads the demo workspace where nobody has an account yet, builds the front end, and starts PostgreSQL,
			php-fpm, nginx and two workers on loopback under a supervisor, which begins anew whichever of them ends. Prints the
			address. Done again, it changes nothing that runs.
			  --empty           without the demo: the first visitor makes the first account
			  LUSTRUM_HOSTS     further names under which it is asked for, with spaces between; kept until said anew
			  LUSTRUM_QUOTA     gigabytes that the files of one workspace may take (20); kept until said anew
			  LUSTRUM_PROXIES   addresses of proxies before it, which may say for whom they ask; kept until said anew
			END
		stop) cat <<-'END' ;;
			./lustrum stop
			Stops the application from the front to the back, then the database, then the supervisor. Nothing is lost.
			END
		test) cat <<-'END' ;;
			./lustrum test [PART]
			Installs what is missing, runs all checks and tests with databases of their own, names each that failed with its
			first message, and closes with one line: N passed, N failed. A PART is one of
			  php, web, browser   PHPUnit and what looks at the PHP; TypeScript, ESLint, Vitest; Playwright
			  once                each way of breaking a running Lustrum, once
			  heal                fifty rounds of kill -9, of backups while people work, and of handing a device over
			  fuzz [SEED]         hostile input at every address for two minutes, then every sheet
			  mutations [SEED [drawn]]
			                      breaks deciding lines one by one and sees a test fail: a list of them, and sixty that are
			                      drawn by the seed, of which 57 must be caught; drawn: these alone
			END
		reset) cat <<-'END' ;;
			./lustrum reset [--empty]
			Throws the data away, all of it, and loads the demo workspace anew. Make a backup before.
			END
		backup) cat <<-'END' ;;
			./lustrum backup FILE
			Writes the database, and the files that it names, to one file, while people go on working. What was acknowledged
			before it began is in it. The file is readable by its owner alone; it is never overwritten.
			END
		restore) cat <<-'END' ;;
			./lustrum restore FILE
			Reads a backup from end to end, every file against its hash, and only then puts it in place. What was there before
			is set aside until the next restore. Everybody is signed out.
			END
		check) cat <<-'END' ;;
			./lustrum check [FILE | --sweep]
			Reads every picture, sound, clip and document that the database names against its hash, and says what is missing or
			damaged: of the running workspace, or of a backup, as restore would before it changes anything.
			  --sweep           also takes away files that nobody names and that are a day old: left by what was refused
			END
		simulate) cat <<-'END' ;;
			./lustrum simulate [TIMES [PART]]
			Puts simulated workshops with known truth through the functions that the sheets call, and prints for each kind of
			sentence how often it was false, or how often something real was found, with its interval and what is asked: 10,000
			workshops a row, about twenty minutes. TIMES is another number of them; PART takes only rows that hold this text.
			END
		bench) cat <<-'END' ;;
			./lustrum bench [PART…]
			Makes the large workspace in a database of its own and measures the budgets of docs/architecture.md there: sheets,
			writes, exchange, wire, estimators. Prints a table; nothing in it can fail a test.
			END
		*) return 1 ;;
	esac
}
