<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class WorkingInput implements RecordInput
{
    /**
     * @param string          $title   what it was worked out for
     * @param string          $sum     name of the sum
     * @param list<WorkEntry> $inputs
     * @param string          $output  the answer that counts
     * @param string          $unit    that it is said in; empty: its own
     * @param string|null     $run     that it forecasts
     * @param string          $channel of that run
     * @param OwnFormula|null $own     where the sum is 'own'
     */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Name]
        public string $title,
        #[Name]
        public string $sum,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} values.')]
        public array $inputs,
        #[Name]
        public string $output,
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $unit = '',
        #[Identifier]
        public ?string $run = null,
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $channel = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $note = '',
        #[Assert\Valid]
        public ?OwnFormula $own = null,
        #[Version]
        public ?int $version = null,
    ) {
    }
}
