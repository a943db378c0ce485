<?php

declare(strict_types=1);

namespace Lustrum\Console;

use Lustrum\Http\OpenApi\Description;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('lustrum:openapi', 'Prints the description of the HTTP interface, generated from the code.')]
final class OpenApiCommand extends Command
{
    public function __construct(
        private readonly Description $description,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->write($this->description->json(), false, OutputInterface::OUTPUT_RAW);

        return 0;
    }
}
