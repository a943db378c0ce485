<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Core\Evidence\Assess;
use Lustrum\Core\Evidence\Assessment;
use Lustrum\Core\Evidence\Carry;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Evidence\Texture;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Units;
use Lustrum\Device\Requirement;
use Lustrum\Revision\ChangeView;
use Lustrum\Revision\Revision;
use Lustrum\Trial\RunOutcome;

/** Works out the evidence of every requirement on every revision of a device. */
final class EvidenceTable
{
    /** @var array<string, list<RunFact>> */
    private readonly array $runsByRevision;

    /** @var array<string, array{Assessment, list<RunFact>}> what was worked out already: later builds look at earlier ones */
    private array $assessed = [];

    /** @param list<RunFact> $runs of the device */
    public function __construct(
        private readonly RevisionTree $tree,
        private readonly float $confidence,
        array $runs,
    ) {
        $by = [];
        foreach ($runs as $run) {
            $by[$run->revision][] = $run;
        }
        $this->runsByRevision = $by;
    }

    public function cell(Requirement $requirement, Revision $revision): EvidenceCell
    {
        [$own, $used] = $this->assess($requirement, $revision);
        if ($own->state !== State::None) {
            return $this->describe($requirement, $revision, $own, $used, null, null);
        }
        foreach ($this->tree->ancestors($revision) as $ancestor) {
            [$earlier, $used] = $this->assess($requirement, $ancestor);
            if ($earlier->state === State::None) {
                continue;
            }
            $carry = Carry::over($requirement->dependsOn(), array_map(static fn (ChangeView $c): array => ['what' => $c->what, 'class' => $c->class->value], $this->tree->changesSince($ancestor, $revision)));

            return $this->describe($requirement, $revision, $earlier, $used, $ancestor->letter(), $carry);
        }

        return $this->describe($requirement, $revision, $own, [], null, null);
    }

    /** @return array{Assessment, list<RunFact>} */
    private function assess(Requirement $requirement, Revision $revision): array
    {
        $key = $requirement->id()->toRfc4122().$revision->id()->toRfc4122();
        if (isset($this->assessed[$key])) {
            return $this->assessed[$key];
        }
        $results = $used = [];
        foreach ($this->runsByRevision[$revision->id()->toRfc4122()] ?? [] as $run) {
            $result = self::result($requirement, $run);
            if ($result !== null) {
                $results[] = $result;
                $used[] = $run;
            }
        }

        return $this->assessed[$key] = [Assess::results($requirement->rule($this->confidence), $results), $used];
    }

    private static function result(Requirement $requirement, RunFact $run): ?Result
    {
        $reading = $run->reading($requirement->metric());
        $byOutcome = $run->outcomeMetric !== '' && $run->outcomeMetric === $requirement->metric();
        if (($reading === null && !$byOutcome) || $run->outcome === RunOutcome::Void) {
            return null;
        }
        if ($run->outcome === RunOutcome::Lost) {
            return Result::of(ResultKind::Lost);
        }
        if ($reading !== null && $requirement->unit() !== '') {
            $target = Units::parse($requirement->unit());

            return Units::parse($reading->unit)->dimension->equals($target->dimension) ? Result::of($reading->kind, $target->fromSi($reading->si), $run->conditions) : null;
        }

        return match ($run->outcome) {
            RunOutcome::Held => Result::of(ResultKind::Held, null, $run->conditions),
            RunOutcome::Failed => Result::of(ResultKind::Failed, null, $run->conditions),
            // Ended before the end point: it neither held nor failed.
            default => null,
        };
    }

    /** @param list<RunFact> $used */
    private function describe(Requirement $requirement, Revision $revision, Assessment $a, array $used, ?string $from, ?Carry $carry): EvidenceCell
    {
        $stale = $carry !== null && !$carry->carried;
        $share = in_array($requirement->kind(), [Kind::Rate, Kind::Check], true) || ($a->estimate !== null && str_starts_with($a->method, 'exact'));
        $measured = Measured::of($requirement->metric(), $used, $requirement->unit());
        $decimals = $share ? 0 : $measured->decimals;
        $unit = $share ? '%' : $requirement->unit();
        $estimate = $a->estimate === null ? null : new Estimate($share ? 100 * $a->estimate : $a->estimate, null, null, $unit, $decimals, $a->n);

        return new EvidenceCell(
            $requirement->id()->toRfc4122(), $revision->id()->toRfc4122(),
            $stale ? State::None : $a->state, $stale ? Texture::Outline : Texture::of($a, $carry !== null),
            $estimate, $a->bound === null ? null : ($share ? 100 * $a->bound : $a->bound), $a->probabilityMet, $a->runsNeeded, $a->missingConditions, $a->n, $a->bounds, $a->lost, $from,
            self::sentence($requirement, $a, $estimate, $share, $from, $carry), $a->method,
            array_map(static fn (RunFact $r): string => $r->id, $used),
        );
    }

    private static function sentence(Requirement $requirement, Assessment $a, ?Estimate $estimate, bool $share, ?string $from, ?Carry $carry): string
    {
        if ($estimate === null) {
            return $a->bounds > 0
                ? sprintf('Not shown: %d %s ended before the event, which leaves only %s.', $a->bounds, $a->bounds === 1 ? 'run' : 'runs', $a->bounds === 1 ? 'a bound' : 'bounds')
                : 'Not tried.';
        }
        $what = $share ? sprintf('held %d of %d', (int) round($estimate->value / 100 * $a->n), $a->n) : sprintf('%s over %d %s', $estimate->text, $a->n, $a->n === 1 ? 'run' : 'runs');
        if ($share && $requirement->kind() === Kind::Rate && $requirement->unit() === '%') {
            $what = sprintf('%s: %d of %d', $requirement->metric(), (int) round($estimate->value / 100 * $a->n), $a->n);
        }
        if ($carry !== null && !$carry->carried) {
            return sprintf('%s had %s. %s', $from, $what, $carry->sentence);
        }
        $words = match ($a->state) {
            State::Shown => 'Shown',
            State::Leaning => 'Leaning',
            State::Thin => 'Thin',
            State::Against => $a->confirmed ? 'Shown not to meet' : 'Against',
            State::None => 'Not tried',
        };
        $more = '';
        if ($a->state === State::Shown && $a->missingConditions !== []) {
            $words = 'Leaning';
        }
        if ($a->missingConditions !== []) {
            $more .= sprintf(' Not yet with %s.', implode(', ', array_map(static fn (string $c): string => str_replace('=', ' ', $c), $a->missingConditions)));
        }
        if ($a->state === State::Against && !$share && $requirement->kind() === Kind::Every) {
            $more .= ' The mean does not matter here: too many units are estimated beyond the limit.';
        }
        if ($a->bound !== null && !$share) {
            $more .= sprintf(' Bound %s %s.', Digits::decimals($a->bound, $estimate->decimals), $requirement->unit());
        } elseif ($a->bound !== null && $a->n > 1 && $requirement->kind() !== Kind::Check) {
            $more .= sprintf(' At this many tries the true share may still be %s %%.', Digits::decimals(100 * $a->bound, 0));
        }
        if (in_array($a->state, [State::Leaning, State::Thin], true) && $a->runsNeeded !== null && $a->runsNeeded > 0) {
            $more .= sprintf(' %d more like these would show it.', $a->runsNeeded);
        }
        if ($a->bounds > 0) {
            $more .= sprintf(' %d more ended early and count only as bounds.', $a->bounds);
        }
        if ($a->lost > 0) {
            $more .= sprintf(' %d lost in handling.', $a->lost);
        }

        return sprintf('%s%s: %s.%s', $words, $from === null ? '' : ', carried over from '.$from, $what, $more);
    }
}
