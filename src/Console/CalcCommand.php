<?php

declare(strict_types=1);

namespace Lustrum\Console;

use Lustrum\Core\Calc\Catalogue;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Answers JSON Lines with the operations of the core, one line at a time. */
#[AsCommand('lustrum:calc', 'Answers {"op", "input"} lines from standard input with the operations of the core.')]
final class CalcCommand extends Command
{
    private const FLAGS = \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION;

    protected function configure(): void
    {
        $this->addOption('list', null, InputOption::VALUE_NONE, 'Lists the operations with their inputs and outputs');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if ($input->getOption('list') === true) {
            return $this->list($output);
        }
        $code = 0;
        while (($line = fgets(\STDIN)) !== false) {
            if (trim($line) === '') {
                continue;
            }
            $request = json_decode($line, true, 512);
            if (json_last_error() !== \JSON_ERROR_NONE) {
                $code = 2;
                $answer = [
                    'op' => '', 'ok' => false,
                    'error' => ['code' => 'line.invalid', 'message' => 'This line is not JSON: '.json_last_error_msg().'.', 'path' => ''],
                ];
            } else {
                $answer = Catalogue::answer($request);
            }
            fwrite(\STDOUT, json_encode($answer, self::FLAGS | \JSON_THROW_ON_ERROR)."\n");
        }

        return $code;
    }

    private function list(OutputInterface $output): int
    {
        foreach (Catalogue::operations() as $operation) {
            $output->writeln($operation->name.'  '.$operation->summary);
            foreach (['in' => $operation->inputs, 'out' => $operation->outputs] as $side => $fields) {
                foreach ($fields as $name => $words) {
                    $output->writeln(sprintf('    %-3s %-18s %s', $side, $name, $words));
                }
            }
        }

        return 0;
    }
}
