<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\Severity;

/** Runs of one configuration, equally hard, asked the same: how many there were, and when each that held was made. */
final class Tried
{
    public int $said = 0;

    /** Where its first run stands in the order in which runs were made. */
    public string $first = '';

    /** @var list<string> where each run that held stands in the order in which runs were made */
    public array $held = [];

    /**
     * @param string $made     key of the configuration
     * @param string $question key; Tries::WHOLE for the run as a whole
     */
    public function __construct(
        public readonly string $made,
        public readonly Severity $severity,
        public readonly string $question,
    ) {
    }

    public function take(RunFact $run): void
    {
        $held = $this->question === Tries::WHOLE ? $run->held() : $run->heldTo($this->question);
        if ($held === null) {
            return;
        }
        $this->first = $this->said++ === 0 ? $run->order() : min($this->first, $run->order());
        if ($held) {
            $this->held[] = $run->order();
        }
    }
}
