<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class DecisionInput implements RecordInput
{
    /**
     * @param string|null $next   identifier of the revision that it opens, made by the client; null where it opens none
     * @param string      $letter of that revision
     * @param string      $note   why; of trying more, the plan
     */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Identifier]
        public ?string $next = null,
        #[Assert\Length(max: 8, maxMessage: 'At most {{ limit }} characters, so that it fits on the tag.')]
        public string $letter = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $intent = '',
        #[Note]
        public string $note = '',
        public DecisionKind $kind = DecisionKind::Build,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
