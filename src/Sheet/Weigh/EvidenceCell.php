<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\Evidence\Basis;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Evidence\Texture;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Wording\Estimate;
use Lustrum\Core\Wording\EvidenceWords;

/** What is shown of one requirement on one revision. */
final readonly class EvidenceCell
{
    /**
     * @param float|null   $bound    one-sided, in the unit of the requirement
     * @param string       $source   identifier of the build whose runs these are
     * @param string|null  $from     its letter, where it is an earlier one
     * @param string|null  $number   the estimate as it stands in the table; null where nothing stands there
     * @param string       $beside   what stands there instead of a number where it was tried and says nothing; empty elsewhere
     * @param string       $how      it was worked out, in words; the enum beside it is what programs ask
     * @param string       $explain  key of the explanation of the method
     * @param string       $metric   identifier of what these runs read
     * @param int          $runs     that it stands on; they can be opened
     */
    private function __construct(
        public string $requirement,
        public string $revision,
        public State $state,
        public Texture $texture,
        public ?Estimate $estimate,
        public ?float $bound,
        public ?float $probabilityMet,
        public ?int $runsNeeded,
        /** @var list<string> */
        public array $missingConditions,
        public int $n,
        public int $bounds,
        public int $lost,
        public string $source,
        public ?string $from,
        public string $sentence,
        public Basis $basis,
        public ?string $number,
        public string $how,
        public string $explain,
        public int $runs,
        public string $metric,
        public string $beside,
    ) {
    }

    public static function of(Cell $cell, string $metric): self
    {
        $a = $cell->assessment;

        return new self(
            $cell->wanted->id, $cell->build->id, $cell->state, $cell->texture, Estimate::of($cell->estimate), $cell->bound,
            $a->probabilityMet, $a->runsNeeded, $a->missingConditions, $a->n, $a->bounds, $a->lost, $cell->source->id,
            $cell->module !== '' ? $cell->module : ($cell->source->id === $cell->build->id ? null : $cell->source->letter),
            EvidenceWords::cell($cell, $metric), $a->basis,
            $cell->estimate === null || $cell->texture === Texture::Outline ? null : Digits::decimals(
                $cell->estimate->value, $cell->estimate->decimals,
            ),
            EvidenceWords::how($cell), $a->basis->explanation(), $cell->runs,
            $cell->moduleMetric !== '' ? $cell->moduleMetric : $cell->wanted->metric, EvidenceWords::beside($cell),
        );
    }
}
