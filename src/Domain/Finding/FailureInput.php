<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class FailureInput implements RecordInput
{
    public function __construct(
        #[Identifier]
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
        #[Identifier]
        public ?string $run = null,
        #[Identifier]
        public ?string $article = null,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
