<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

final readonly class WorkingView
{
    /**
     * @param list<WorkEntry>  $inputs
     * @param list<KeptAnswer> $answers as they were kept, the last one last
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $title,
        public string $sum,
        public array $inputs,
        public string $output,
        public string $unit,
        public ?string $run,
        public string $channel,
        public string $note,
        public array $answers,
        public string $createdBy,
        public ?OwnFormula $own,
    ) {
    }
}
