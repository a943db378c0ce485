<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Failure\ByHand;
use Lustrum\Core\Run\Severity;

/** A failure as the sums need it. */
final readonly class FailureFact
{
    /** The same words, however written, are one mode. */
    private string $key;

    /**
     * @param string        $order         where it stands in the order in which runs were made
     * @param Severity|null $severity      at which it happened; null without a run where nobody said with which method
     * @param string        $question      key of the question that it belongs to; empty: it stands alone
     * @param string        $made          key of the configuration of its run; empty without one
     * @param bool          $isConsequence of another failure in the same run: counts and verdicts go to the first
     * @param string        $aside         why it says nothing of the design; empty: it does
     * @param string        $serial        of the article that it happened on
     * @param bool          $isFeared      not seen yet
     * @param string        $at            when it was logged; times are written alike, so their text tells
     * @param ByHand|null   $byHand        who closed it in words, the last one
     */
    public function __construct(
        public string $id,
        public string $build,
        public string $mode,
        public string $place,
        public string $order,
        public ?Severity $severity = null,
        public string $question = '',
        public string $made = '',
        public bool $isConsequence = false,
        public string $aside = '',
        public string $serial = '',
        public bool $isFeared = false,
        public bool $isDangerous = false,
        public string $at = '',
        public ?ByHand $byHand = null,
    ) {
        $this->key = self::keyOf($mode);
    }

    /** Two ways of writing one mode are one. */
    public static function keyOf(string $mode): string
    {
        return mb_strtolower(trim($mode));
    }

    public function key(): string
    {
        return $this->key;
    }

    /** Does it count for the design, as something that happened by itself? */
    public function counts(): bool
    {
        return !$this->isConsequence && !$this->isFeared && $this->aside === '';
    }
}
