<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Answer;
use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** What a run says to one question of its method. */
final readonly class Answered
{
    /**
     * @param string $question key of it
     * @param string $note     of one that held only just: what nearly happened
     */
    public function __construct(
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $question,
        public Answer $answer,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $note = '',
    ) {
    }
}
