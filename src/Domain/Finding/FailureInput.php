<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Domain\Trial\Found;
use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class FailureInput implements RecordInput
{
    /**
     * @param list<Found> $levels        at which it happened, where there was no run
     * @param string|null $method        likewise
     * @param string      $question      key of the question of that method that it belongs to; empty: it stands alone
     * @param string|null $consequenceOf another failure in the same run that it follows from
     * @param bool        $feared        before it was seen
     * @param string      $guard         what guards against one that is feared
     */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Name]
        public string $mode,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $place = '',
        public Consequence $consequence = Consequence::Major,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $stage = '',
        #[Note]
        public string $note = '',
        #[Identifier]
        public ?string $run = null,
        #[Identifier]
        public ?string $article = null,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} levels.')]
        public array $levels = [],
        #[Identifier]
        public ?string $method = null,
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $question = '',
        #[Identifier]
        public ?string $consequenceOf = null,
        public bool $feared = false,
        #[Note]
        public string $guard = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
