<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class OutingInput implements RecordInput
{
    /**
     * @param string       $day     ISO date; empty: nobody knows yet
     * @param float|null   $hours   that there are at the place
     * @param string       $weather that is wanted
     * @param list<string> $people
     * @param list<string> $permits
     * @param list<string> $trials  identifiers, of any device of the workspace
     * @param list<string> $missed  what was not there on the day: it goes onto the next list
     */
    public function __construct(
        #[Identifier]
        public string $workspace,
        #[Name]
        public string $place = '',
        #[Assert\Regex('/^([0-9]{4}-[0-9]{2}-[0-9]{2})?$/', message: 'A date such as 2026-03-02.')]
        public string $day = '',
        #[Assert\Range(notInRangeMessage: 'Between a quarter of an hour and a hundred hours.', min: 0.25, max: 100)]
        public ?float $hours = null,
        #[Choices]
        public array $people = [],
        #[Choices]
        public array $permits = [],
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $weather = '',
        #[Choices]
        public array $trials = [],
        #[Choices]
        public array $missed = [],
        #[Version]
        public ?int $version = null,
    ) {
    }
}
