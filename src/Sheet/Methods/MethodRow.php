<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Wording\MethodWords;
use Lustrum\Domain\Method\ChannelView;
use Lustrum\Domain\Method\MethodView;
use Lustrum\Domain\Method\QuestionView;

/** A method with what it asks for, in words. */
final readonly class MethodRow
{
    /**
     * @param list<string> $reads  a line for each channel
     * @param list<string> $asks   a line for each question
     * @param list<string> $varies a line for each factor or block
     * @param string       $through steps of use that its runs go through
     */
    private function __construct(
        public MethodView $method,
        public string $aside,
        public array $reads,
        public array $asks,
        public array $varies,
        public string $records,
        public string $settings,
        public string $mind,
        public string $through,
    ) {
    }

    /** @param array<string, string> $steps names of steps of use by identifier */
    public static function of(MethodView $m, array $steps): self
    {
        $reads = array_map(static fn (ChannelView $c): string => MethodWords::channel(
            $c->metric, $c->unit, $c->formula, $c->instrument, $c->resolution, $c->low, $c->high,
        ), $m->channels);

        return new self(
            $m, MethodWords::aside($m->rig, $m->version, $m->minutes),
            $reads, array_map(static fn (QuestionView $q): string => MethodWords::question($q->metric, $q->text), $m->questions),
            array_map(MethodWords::factor(...), $m->factors),
            implode(', ', array_map(static fn (Condition $c): string => MethodWords::condition($c), $m->conditions)),
            implode(', ', array_map(static fn (SettingRule $s): string => MethodWords::setting($s), $m->settings)),
            MethodWords::mind($m->safety->hazards, $m->safety->cautions, $m->safety->abort, $m->safety->needsSignOff),
            implode(', ', array_intersect_key($steps, array_flip($m->steps))),
        );
    }
}
