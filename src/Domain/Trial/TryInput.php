<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** What it takes to try something: one line, and whether it can hurt somebody. */
final readonly class TryInput
{
    /**
     * @param string      $run    identifier of the run that begins
     * @param string      $what   in one line; empty: the picture says it
     * @param string|null $build  null: a new device begins with it, build A
     * @param string      $device name of the new one; empty: the line names it
     * @param string      $hurts  what can hurt somebody; empty: nothing can
     * @param string      $stop   when to stop, where something can
     */
    public function __construct(
        #[Identifier]
        public string $run,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $what = '',
        #[Identifier]
        public ?string $build = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $device = '',
        #[Identifier]
        public ?string $article = null,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $hurts = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $stop = '',
    ) {
    }
}
