<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ClosingByHandInput implements RecordInput
{
    public function __construct(
        #[Identifier]
        public string $failure,
        #[Assert\NotBlank(message: 'Why may it count as closed? It stands beside the holds.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $why,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
