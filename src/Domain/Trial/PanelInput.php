<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class PanelInput implements RecordInput
{
    /**
     * @param list<string>     $serials of the articles that are rated, each under a code
     * @param list<string>     $raters  by name; served each in an order of their own
     * @param string|null      $serves  account of whoever serves; null: as it is, or whoever makes it
     * @param list<PanelScale> $scales
     * @param bool             $prefers is each asked to be held against the one before?
     * @param string           $guess   asked at the end, so that one sees whether the blind held; empty: nothing
     * @param string           $right   serial of the article that is the right answer
     */
    public function __construct(
        #[Identifier]
        public string $trial,
        #[Choices]
        public array $serials = [],
        #[Choices]
        public array $raters = [],
        #[Identifier]
        public ?string $serves = null,
        #[Assert\Valid]
        #[Assert\Count(max: 12, maxMessage: 'At most {{ limit }} scales.')]
        public array $scales = [],
        public bool $prefers = false,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $guess = '',
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $right = '',
        #[Version]
        public ?int $version = null,
    ) {
    }

    /** The same, served by somebody. */
    public function servedBy(?string $person): self
    {
        return new self(
            $this->trial, $this->serials, $this->raters, $person, $this->scales, $this->prefers, $this->guess, $this->right, $this->version,
        );
    }
}
