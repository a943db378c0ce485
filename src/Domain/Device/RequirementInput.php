<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Judging\Members;
use Lustrum\Record\RecordInput;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Number;
use Lustrum\Shared\UnitSymbol;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class RequirementInput implements RecordInput
{
    /**
     * @param list<string> $conditions states that must have been covered, such as 'soil=moist'
     * @param list<string> $dependsOn  change classes, 'part:bracket', 'parameter:gap'; empty: everything but the cosmetic
     * @param list<string> $enough     states of article that are enough; empty: every one but a mock-up or a model
     * @param list<string> $methods    names of methods that count; empty: all
     * @param list<string> $uses       identifiers of the uses that ask for it; empty: every one
     * @param Members      $members    of a family that it must hold on
     * @param string|null  $byModule   identifier of a module's requirement whose evidence counts for it
     * @param string       $askedBy    somebody who is around
     */
    public function __construct(
        #[Identifier]
        public string $device,
        #[Assert\NotBlank(message: 'This is still empty.')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $statement,
        #[Name]
        public string $metric,
        #[UnitSymbol]
        public string $unit = '',
        #[Number]
        public float $limit = 0.0,
        public Direction $direction = Direction::AtLeast,
        public Kind $kind = Kind::Mean,
        #[Assert\Range(notInRangeMessage: 'Between 0.5 and 0.9999.', min: 0.5, max: 0.9999)]
        public float $coverage = 0.9,
        public bool $must = true,
        #[Choices]
        public array $conditions = [],
        #[Choices]
        public array $dependsOn = [],
        #[Choices]
        public array $enough = [],
        #[Choices]
        public array $methods = [],
        #[Choices]
        public array $uses = [],
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $askedBy = '',
        public Members $members = Members::Each,
        #[Identifier]
        public ?string $byModule = null,
        public RequirementSource $source = RequirementSource::Runs,
        #[Assert\Range(notInRangeMessage: 'Between 0 and 1000.', min: 0, max: 1000)]
        public int $place = 0,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
