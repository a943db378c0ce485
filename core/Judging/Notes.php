<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\ArticleState;
use Lustrum\Core\Run\RunFact;

/** What stands beside a number wherever it is quoted: how some of its runs came about, and which runs it could not take in. */
final class Notes
{
    /** Runs on a mock-up or a model, which stands for the real thing in some respect. */
    public int $models = 0;

    /** Runs that held, and something nearly happened. */
    public int $onlyJust = 0;

    /** Runs that were stopped because the event was felt coming. */
    public int $felt = 0;

    /**
     * @var array<string, int> runs that looked at it and are not enough, by why: mockup, model, method, unit, changed, or a state of the
     *     article
     */
    public array $otherwise = [];

    /** @var array<array-key, true> serials of the articles that it was tried on */
    public array $serials = [];

    public function take(RunFact $run, string $metric): void
    {
        $this->serials += $run->serial() === '' ? [] : [$run->serial() => true];
        $this->models += ArticleState::isModel($run->configuration->articleState) ? 1 : 0;
        $this->onlyJust += $run->says() && $run->heldOnlyJust($metric) && $run->heldIn($metric) === true ? 1 : 0;
        $this->felt += $run->isFelt && $run->reading($metric) !== null ? 1 : 0;
    }

    /** Takes a run that is not enough, or whose value waits for its unit. */
    public function pass(Wanted $wanted, RunFact $run): void
    {
        if (!$run->says()) {
            return;
        }
        $state = $run->configuration->articleState;
        $isRead = $run->reading($wanted->metric) !== null || $run->heldIn($wanted->metric) !== null;
        $why = match (true) {
            in_array($wanted->metric, $run->waits, true) => 'unit',
            !$isRead || $wanted->admits($state, $run->configuration->methodName) => '',
            !$wanted->admits($state, $wanted->methods[0] ?? '') => ArticleState::of($state),
            default => 'method',
        };
        if ($why !== '') {
            $this->otherwise[$why] = ($this->otherwise[$why] ?? 0) + 1;
        }
    }

    /** The same beside so many runs that were made while something was otherwise. */
    public function besides(int $changed): self
    {
        $more = clone $this;
        $more->otherwise += $changed > 0 ? ['changed' => $changed] : [];

        return $more;
    }

    /** @param list<self> $some */
    public static function together(array $some): self
    {
        $all = new self();
        foreach ($some as $notes) {
            $all->models += $notes->models;
            $all->onlyJust += $notes->onlyJust;
            $all->felt += $notes->felt;
            $all->serials += $notes->serials;
            foreach ($notes->otherwise as $why => $n) {
                $all->otherwise[$why] = ($all->otherwise[$why] ?? 0) + $n;
            }
        }

        return $all;
    }
}
