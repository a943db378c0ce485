<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Name;
use Lustrum\Shared\UnitSymbol;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

/** How something went along time on a run. */
final readonly class CourseInput implements RecordInput
{
    /**
     * @param string           $name  what was read: 'driver temperature'
     * @param string           $text  a time and a value a line, as typed or pasted
     * @param string           $timeUnit s, min or h
     * @param list<CourseMark> $marks what is read off it
     */
    public function __construct(
        #[Identifier]
        public string $run,
        #[Name]
        public string $name,
        #[Assert\Length(max: 60000, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
        #[UnitSymbol]
        public string $unit = '1',
        #[Assert\Choice(['s', 'min', 'h'], message: 'Times are in s, min or h.')]
        public string $timeUnit = 's',
        #[Assert\Valid]
        #[Assert\Count(max: 12, maxMessage: 'At most {{ limit }} marks.')]
        public array $marks = [],
        #[Version]
        public ?int $version = null,
    ) {
    }
}
