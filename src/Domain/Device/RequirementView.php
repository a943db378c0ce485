<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Judging\Members;

final readonly class RequirementView
{
    /**
     * @param list<string> $conditions
     * @param list<string> $conditionTexts the same as they are read
     * @param list<string> $dependsOn
     * @param list<string> $enough
     * @param list<string> $methods
     * @param list<string> $uses    identifiers; empty: every one
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $device,
        public string $statement,
        public string $metric,
        public string $metricId,
        public string $unit,
        public float $limit,
        public string $limitText,
        public Direction $direction,
        public Kind $kind,
        public float $coverage,
        public bool $must,
        public array $conditions,
        public array $conditionTexts,
        public array $dependsOn,
        public array $enough,
        public array $methods,
        public array $uses,
        public string $askedBy,
        public Members $members,
        public ?string $byModule,
        public string $byModuleName,
        public RequirementSource $source,
        public int $place,
    ) {
    }
}
