<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Shared\Choices;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

/** Failures of one mode that are called otherwise from now on: all of them (a merge), or some (a split). */
final readonly class CallingInput
{
    /**
     * @param string       $mode  that they have
     * @param string       $to    the mode that they are; one that is there already takes them in
     * @param string       $place empty: theirs
     * @param list<string> $only  identifiers of failures, where not all of them are meant
     * @param bool         $isTry shows which they are, and changes nothing
     */
    public function __construct(
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $mode = '',
        #[Name]
        public string $to = '?',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $place = '',
        #[Choices]
        public array $only = [],
        public bool $isTry = true,
    ) {
    }
}
