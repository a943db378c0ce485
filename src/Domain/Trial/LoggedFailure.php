<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Note;
use Symfony\Component\Validator\Constraints as Assert;

/** A failure that is logged with the end of its run, in one write with it. */
final readonly class LoggedFailure
{
    /**
     * @param string $id          of the record that it becomes
     * @param string $consequence minor, major, dangerous
     * @param string $question    key of the question that it belongs to; empty: it stands alone
     */
    public function __construct(
        #[Identifier]
        public string $id,
        #[Assert\NotBlank(message: 'Give it a name.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $mode,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $place = '',
        #[Assert\Length(max: 20, maxMessage: 'At most {{ limit }} characters.')]
        public string $consequence = '',
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $question = '',
        #[Note]
        public string $note = '',
    ) {
    }
}
