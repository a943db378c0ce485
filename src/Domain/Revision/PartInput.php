<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

/**
 * $correction: why it was always so; the runs of the build take it over. Empty: it is a change from now on. $mass: of one, in
 * grams; null: nobody weighed it. $reliedOn: whose fit hangs on it. $checkedBy: who checked that fit on this build.
 */
final readonly class PartInput implements RecordInput
{
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Name]
        public string $name,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $material = '',
        #[Assert\Range(notInRangeMessage: 'Between 0 and 100,000.', min: 0, max: 1e5)]
        public float $quantity = 1.0,
        #[Assert\Range(notInRangeMessage: 'Between 0 and ten million.', min: 0, max: 1e7)]
        public float $cost = 0.0,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $note = '',
        #[Assert\Range(notInRangeMessage: 'Between 0 and ten million grams.', min: 0, max: 1e7)]
        public ?float $mass = null,
        public PartSort $sort = PartSort::Part,
        public PartStanding $standing = PartStanding::Stays,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $reliedOn = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $checkedBy = '',
        #[Identifier]
        public ?string $module = null,
        #[Note]
        public string $correction = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
