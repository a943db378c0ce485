<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class PersonInput implements RecordInput
{
    public function __construct(
        #[Identifier]
        public string $device,
        #[Name]
        public string $name,
        public Relation $relation = Relation::Tester,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $note = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
