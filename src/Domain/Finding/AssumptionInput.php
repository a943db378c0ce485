<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class AssumptionInput implements RecordInput
{
    /**
     * @param string                  $hangs    what hangs on it
     * @param string                  $check    what would show it
     * @param list<AssumptionFinding> $findings
     */
    public function __construct(
        #[Identifier]
        public string $device,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $text,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $hangs = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $check = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $by = '',
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} findings.')]
        public array $findings = [],
        #[Version]
        public ?int $version = null,
    ) {
    }
}
