<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Core\Rig\HappeningKind;
use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class HappeningInput implements RecordInput
{
    /**
     * @param string|null $at   RFC 3339, which stays once it is kept; now where not given
     * @param string      $note which part was swapped, how far it fell
     */
    public function __construct(
        #[Identifier]
        public string $article,
        public HappeningKind $kind = HappeningKind::Moved,
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public ?string $at = null,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $note = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
