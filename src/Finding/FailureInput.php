<?php

declare(strict_types=1);

namespace Lustrum\Finding;

use Lustrum\Record\Limit;
use Lustrum\Record\Name;
use Lustrum\Record\Note;
use Lustrum\Record\RecordInput;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class FailureInput implements RecordInput
{
    public function __construct(
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public string $revision,
        #[Name]
        public string $mode,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $place = '',
        public Severity $severity = Severity::Major,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $stage = '',
        #[Note]
        public string $note = '',
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public ?string $run = null,
        #[Assert\Uuid(message: 'This is not an identifier.')]
        public ?string $article = null,
        public ?int $version = null,
    ) {
    }
}
