<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

/** What one rater said of one code. */
final readonly class PanelSheetInput implements RecordInput
{
    /**
     * @param list<Found>     $ratings by channel
     * @param Preferred|null  $prefers against the one that was served before; null: nobody asked, or nothing was said
     * @param string          $guess   code that the rater takes for the right answer
     */
    public function __construct(
        #[Identifier]
        public string $panel,
        #[Name]
        public string $rater,
        #[Assert\Regex('/^[0-9]{3}$/', message: 'A code has three digits.')]
        public string $code,
        #[Assert\Valid]
        #[Assert\Count(max: 12, maxMessage: 'At most {{ limit }} scales.')]
        public array $ratings = [],
        public ?Preferred $prefers = null,
        #[Assert\Length(max: 3, maxMessage: 'A code has three digits.')]
        public string $guess = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $note = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
