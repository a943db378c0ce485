<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\AmountInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class UseCaseInput implements RecordInput
{
    /**
     * @param string            $dropped why the device is no longer for it; empty: it goes on
     * @param list<AmountInput> $loads   mass, moment, speed, rate, payload … that it bears in it
     */
    public function __construct(
        #[Identifier]
        public string $device,
        #[Name]
        public string $name,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $who = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $where = '',
        #[Note]
        public string $dropped = '',
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} entries.')]
        public array $loads = [],
        #[Version]
        public ?int $version = null,
    ) {
    }
}
