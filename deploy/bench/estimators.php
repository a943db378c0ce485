<?php

declare(strict_types=1);

/** Estimators in this process, at the sizes of the large workspace, and R's own time for the same in its process. */
return static function (): void {
    require_once dirname(__DIR__, 2).'/vendor/autoload.php';
    mt_srand(1);
    $normal = static fn (): float => sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
    $many = range(1, 10_000);
    $lives = [
        'times' => array_map(static fn (): float => exp(1 + 0.4 * $normal()), $many),
        'ended' => array_map(static fn (int $i): bool => $i % 3 > 0, $many),
    ];
    $curve = array_map(static fn (int $i): float => 20 + 60 * exp(-$i / 3000) + 0.1 * $normal(), $many);
    $a = array_map(static fn (): float => round(40 + 3 * $normal(), 1), range(1, 2500));
    $b = array_map(static fn (): float => round(41 + 3 * $normal(), 1), range(1, 2500));
    $held = array_map(static fn (int $l): int => (int) round(50 / (1 + exp(($l - 100) / 15))), range(1, 200));
    $factors = [
        'a' => array_map(static fn (int $i): string => 'a'.$i % 5, range(1, 500)),
        'b' => array_map(static fn (int $i): string => 'b'.$i % 4, range(1, 500)),
    ];
    $choices = array_map(static function (): array {
        $a = mt_rand(1, 40);
        $b = 1 + ($a + mt_rand(0, 38)) % 40;
        [$a, $b] = $a === $b ? [1, 2] : [$a, $b];
        $winner = mt_rand(0, $a + $b) < $a ? $a : $b;

        return ['winner' => 'i'.$winner, 'loser' => 'i'.($a + $b - $winner)];
    }, range(1, 5000));
    $survival = 'library(survival); d <- read.csv(paste0(folder, "/lives.csv"));';
    $fits = [
        'survival.kaplanMeier of 10,000' => [$lives, $survival, 'survfit(Surv(t, e) ~ 1, data = d)'],
        'survival.weibull of 10,000' => [$lives, $survival, 'survreg(Surv(t, e) ~ 1, data = d)'],
        'survival.logRank of 2 × 10,000' => [
            ['groups' => [$lives, $lives]], $survival.'d2 <- rbind(cbind(d, g = 1), cbind(d, g = 2));',
            'survdiff(Surv(t, e) ~ g, data = d2)',
        ],
        'stats.rank of 2 × 2,500' => [
            ['a' => $a, 'b' => $b], 'p <- read.csv(paste0(folder, "/pairs.csv"));', 'wilcox.test(p$b, p$a, conf.int = TRUE, exact = FALSE)',
        ],
        'curve.exponential of 10,000' => [
            ['t' => $many, 'y' => $curve], 'c <- read.csv(paste0(folder, "/curve.csv"));', 'nls(y ~ SSasymp(t, A, R, l), data = c)',
        ],
        'stats.regress of 10,000, degree 3' => [
            ['x' => $many, 'y' => $curve, 'degree' => 3], 'c <- read.csv(paste0(folder, "/curve.csv"));',
            'predict(lm(y ~ poly(t, 3), data = c), interval = "prediction")',
        ],
        'threshold.logit of 200 levels' => [
            ['levels' => range(1, 200), 'held' => $held, 'tried' => array_fill(0, 200, 50)],
            'l <- read.csv(paste0(folder, "/levels.csv"));', 'glm(cbind(h, 50 - h) ~ l, family = binomial, data = l)',
        ],
        'stats.anova of 500, 5 × 4 with interaction' => [
            ['y' => array_slice($curve, 0, 500), 'factors' => $factors, 'interactions' => [['a', 'b']]],
            'f <- head(read.csv(paste0(folder, "/curve.csv")), 500); i <- 1:500; f$a <- factor(i %% 5); f$b <- factor(i %% 4);',
            'anova(lm(y ~ a * b, data = f))',
        ],
        'panel.rank of 40 items, 5,000 choices' => [
            ['comparisons' => $choices],
            'x <- read.csv(paste0(folder, "/choices.csv")); k <- sort(unique(c(x$w, x$l))); m <- matrix(0, nrow(x), length(k)); m[cbind(1:nrow(x), match(x$w, k))] <- 1; m[cbind(1:nrow(x), match(x$l, k))] <- -1; m <- m[, -1];',
            'summary(glm(rep(1, nrow(m)) ~ m - 1, family = binomial))',
        ],
        'plan.panel of 40 items, 1,000 raters' => [
            ['items' => array_map(static fn (int $i): string => 'item '.$i, range(1, 40)), 'raters' => 1000], '', '',
        ],
        'curve.decimate of 1,000,000 to 2,000' => [
            ['t' => range(1, 1_000_000), 'y' => array_merge(...array_fill(0, 100, $curve)), 'points' => 2000], '', '',
        ],
    ];
    $folder = sys_get_temp_dir().'/lustrum-bench-'.getmypid();
    mkdir($folder);
    $table = static function (string $name, array $columns) use ($folder): void {
        $rows = array_map(null, ...array_values($columns));
        file_put_contents(
            $folder.'/'.$name.'.csv',
            implode(',', array_keys($columns))."\n".implode("\n", array_map(static fn (array $r): string => implode(',', $r), $rows))."\n",
        );
    };
    $table('lives', ['t' => $lives['times'], 'e' => array_map(intval(...), $lives['ended'])]);
    $table('pairs', ['a' => $a, 'b' => $b]);
    $table('curve', ['t' => $many, 'y' => $curve]);
    $table('levels', ['l' => range(1, 200), 'h' => $held]);
    $table('choices', ['w' => array_column($choices, 'winner'), 'l' => array_column($choices, 'loser')]);
    $r = trim((string) shell_exec('command -v Rscript')) !== '';
    foreach ($fits as $name => [$input, $prepare, $call]) {
        $op = explode(' ', $name)[0];
        $mine = [];
        for ($i = 0; $i < 3; ++$i) {
            $from = hrtime(true);
            $answer = Lustrum\Core\Calc\Catalogue::answer(['op' => $op, 'input' => $input]);
            $mine[] = (hrtime(true) - $from) / 1e6;
        }
        $theirs = null;
        if ($r && $call !== '') {
            $script = 'folder <- "'.$folder.'"; '.$prepare.' t <- sapply(1:3, function(i) system.time(for (k in 1:3) '.$call.')[["elapsed"]] / 3); cat(min(t) * 1000)';
            $said = shell_exec('Rscript --vanilla -e '.escapeshellarg($script).' 2>/dev/null');
            $theirs = is_numeric($said) ? (float) $said : null;
        }
        $name .= $answer['ok'] ? '' : ' FAILED: '.$answer['error']['message'];
        if ($theirs === null) {
            Table::row($name, min($mine), 'ms', $call === '' ? '' : 'R was not to be had for this one');
        } else {
            Table::size($name, min($mine) / max($theirs, 0.1), '× R', 3, sprintf('%.1f ms, R %.1f ms', min($mine), $theirs));
        }
        unset($answer);
    }
    array_map(unlink(...), glob($folder.'/*') ?: []);
    rmdir($folder);
    $line = json_encode(
        [
            'op' => 'stats.compare',
            'input' => ['a' => [86.5, 96.3, 88.1, 89.7, 92, 94, 95.3], 'b' => [105.5, 138.6, 137.8, 118.9, 117, 131.7, 126.4]],
        ],
    )."\n";
    $input = tmpfile();
    fwrite($input, str_repeat($line, 10_000));
    rewind($input);
    $from = hrtime(true);
    $process = proc_open(
        [
            '/usr/bin/env', 'APP_ENV=prod', 'APP_DEBUG=0', PHP_BINARY, '-d', 'memory_limit=64M', dirname(__DIR__, 2).'/bin/console',
            'lustrum:calc',
        ],
        [$input, ['file', '/dev/null', 'w'], STDERR], $pipes,
    );
    $code = proc_close($process);
    Table::time('10,000 lines of stats.compare in 64 MB'.($code === 0 ? '' : ' FAILED'), (hrtime(true) - $from) / 1e6, 5000);
};
