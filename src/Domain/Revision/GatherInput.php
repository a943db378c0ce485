<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** A build to gather what was changed on an article into. */
final readonly class GatherInput
{
    /**
     * @param string   $id   of the build that is made: sent twice, it is one
     * @param list<string> $answers identifiers of failures on the article that what was changed after them is meant to end
     * @param int|null $step after which it begins, from 1; null: the last one
     */
    public function __construct(
        // Who may not write here is told so before what is wrong with it.
        public string $id = '',
        public ?int $step = null,
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} failures.')]
        public array $answers = [],
    ) {
    }
}
