<?php

declare(strict_types=1);

namespace Lustrum\Console;

use Lustrum\Action\Files\Checking;
use Lustrum\Core\Wording\FileWords;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Behind './lustrum check' and './lustrum restore'. */
#[AsCommand('lustrum:check', 'Reads every file that the database names against its hash.')]
final class CheckCommand extends Command
{
    /** So many are named; of more it is said how many there are. */
    private const NAMED = 20;

    public function __construct(
        private readonly Checking $checking,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('sweep', null, InputOption::VALUE_NONE, 'Takes away files that nobody names and that are a day old');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $read = $wrong = 0;
        foreach ($this->checking->all() as $path => $what) {
            ++$read;
            if ($what !== null && ++$wrong <= self::NAMED) {
                $output->writeln(sprintf('  %s It lay at %s.', $what, $path));
            }
        }
        if ($wrong > self::NAMED) {
            $output->writeln(sprintf('  and %d more.', $wrong - self::NAMED));
        }
        $output->writeln($wrong === 0
            ? sprintf('  %d files, read from end to end: all are what was kept.', $read)
            : sprintf('  %d of %d files are missing or damaged.', $wrong, $read));

        $remove = $input->getOption('sweep') === true;
        $left = $this->checking->unnamed($remove);
        if ($left['files'] > 0) {
            $output->writeln(sprintf(
                '  %d files (%s) are named by nobody%s.', $left['files'], FileWords::size($left['bytes']),
                $remove ? ', and were taken away' : '; ./lustrum check --sweep takes them away',
            ));
        }

        return $wrong === 0 ? self::SUCCESS : self::FAILURE;
    }
}
