<?php

declare(strict_types=1);

namespace Lustrum\Console;

use Lustrum\Action\Files\Checking;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
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

        return $wrong === 0 ? self::SUCCESS : self::FAILURE;
    }
}
