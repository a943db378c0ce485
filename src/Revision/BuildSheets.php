<?php

declare(strict_types=1);

namespace Lustrum\Revision;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Change\JudgeChange;
use Lustrum\Core\CoreException;
use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Statistics\Compare;
use Lustrum\Core\Statistics\CompareProportions;
use Lustrum\Core\Statistics\Proportion;
use Lustrum\Record\Records;
use Lustrum\Trial\ArticlePast;
use Lustrum\Trial\RunOutcome;
use Lustrum\Weighing\Dossier;
use Lustrum\Weighing\Dossiers;
use Lustrum\Weighing\Estimate;
use Lustrum\Weighing\Measured;
use Lustrum\Weighing\MetricNames;
use Lustrum\Weighing\RunFact;

/** Works out the Build station. */
final readonly class BuildSheets
{
    public function __construct(
        private Records $records,
        private Dossiers $dossiers,
        private Connection $db,
    ) {
    }

    public function of(Revision $revision): BuildSheet
    {
        $dossier = $this->dossiers->open($revision->device());
        $parent = $revision->parent();
        $changes = $this->changes($revision, $dossier);
        $parts = $this->views(Part::class, $revision);
        $parentParts = $parent === null ? [] : $this->views(Part::class, $parent);
        $cost = self::sum($parts);
        $parentCost = $parent === null ? null : self::sum($parentParts);
        $difference = $parentCost === null ? null : Sums::difference($parentCost, $cost);
        $articles = array_map($this->article(...), $this->records->all(Article::class, ['revision' => $revision]));
        $currency = $revision->device()->view()->currency;

        return new BuildSheet(
            self::sentence($revision, $changes, count($articles), $difference, $currency),
            $revision->view(), $parent?->view(), $changes,
            self::parameters($this->views(Parameter::class, $revision), $parent === null ? [] : $this->views(Parameter::class, $parent), $parent !== null),
            self::parts($parts, $parentParts, $parent !== null), $cost, $parentCost, $difference, $currency,
            $articles, MetricNames::of($dossier),
        );
    }

    /** @return list<ChangeRow> the changes of a build with what came of them */
    public function changes(Revision $revision, Dossier $dossier): array
    {
        $here = $dossier->runsOf($revision);
        $there = $revision->parent() === null ? [] : $dossier->runsOf($revision->parent());
        $changes = $dossier->tree->changes($revision->id()->toRfc4122());
        $rows = [];
        foreach ($changes as $change) {
            $together = [];
            foreach ($changes as $other) {
                if ($other->id !== $change->id && $change->metric !== '' && $other->metric === $change->metric) {
                    $together[] = $other->what;
                }
            }
            $rows[] = $this->change($change, $here, $there, $together, $dossier);
        }

        return $rows;
    }

    /**
     * @param list<RunFact> $here
     * @param list<RunFact> $there
     * @param list<string>  $together
     */
    private function change(ChangeView $change, array $here, array $there, array $together, Dossier $dossier): ChangeRow
    {
        $expected = $change->expected === null ? '' : ($change->expected === 0.0 ? $change->metric.' unchanged' : sprintf('%s %s%s %s', $change->metric, $change->expected < 0 ? '−' : '+', Digits::short(abs($change->expected)), Estimate::differenceUnit($change->unit)));
        $against = null;
        foreach ($dossier->failures as $failure) {
            if ($failure->id()->toRfc4122() === $change->against) {
                $against = $failure->mode();
            }
        }
        if ($change->metric === '') {
            return new ChangeRow($change, $expected, null, ChangeVerdict::NobodyLooked, $change->verdict === null ? 'No metric was named, so only a person can say what came of it.' : '', [], $together, $against);
        }
        $requirement = $dossier->comparisons->requirement($change->metric);
        $unit = $change->unit !== '' ? $change->unit : ($requirement?->unit() ?? '');
        $shares = self::shares($change, $here, $there);
        if ($shares !== null) {
            return new ChangeRow($change, $expected, null, $shares[0], $shares[1], $shares[2], $together, $against);
        }
        $mine = Measured::of($change->metric, $here, $unit);
        $theirs = Measured::of($change->metric, $there, $unit);
        if ($mine->values === [] || $theirs->values === []) {
            $where = $mine->values === [] && $theirs->values === [] ? 'on neither build' : ($mine->values === [] ? 'not on this build yet' : 'never on the parent');

            return new ChangeRow($change, $expected, null, ChangeVerdict::NobodyLooked, sprintf('%s was measured %s.', ucfirst($change->metric), $where), [], $together, $against);
        }
        $comparison = Compare::independent($theirs->values, $mine->values, $dossier->device->confidence());
        $seen = Estimate::of($comparison->difference, Estimate::differenceUnit($mine->unit), max($mine->decimals, $theirs->decimals), count($mine->values));

        return new ChangeRow(
            $change, $expected, $seen, JudgeChange::seen($change->expected ?? ($requirement === null ? 1.0 : (float) $requirement->view()->direction->sign()), $comparison),
            sprintf('%s over %d and %d runs%s.', $seen->text, count($theirs->values), count($mine->values), $together === [] ? '' : '; together with '.implode(' and ', $together).', and not to be told apart'),
            array_map(static fn (RunFact $r): string => $r->id, [...$theirs->runs, ...$mine->runs]), $together, $against,
        );
    }

    /**
     * A metric that is shown by whether runs hold: shares on both builds, and whether the trial still tells them apart.
     *
     * @param list<RunFact> $here
     * @param list<RunFact> $there
     *
     * @return array{ChangeVerdict, string, list<string>}|null null where it is no such metric, or one side was not tried
     */
    private static function shares(ChangeView $change, array $here, array $there): ?array
    {
        $count = static fn (array $runs, RunOutcome ...$o): array => array_values(array_filter($runs, static fn (RunFact $r): bool => $r->outcomeMetric === $change->metric && in_array($r->outcome, $o, true)));
        $tried = [$count($there, RunOutcome::Held, RunOutcome::Failed), $count($here, RunOutcome::Held, RunOutcome::Failed)];
        if ($tried[0] === [] || $tried[1] === []) {
            return null;
        }
        $held = [count($count($there, RunOutcome::Held)), count($count($here, RunOutcome::Held))];
        $comparison = CompareProportions::of(Proportion::of($held[0], count($tried[0])), Proportion::of($held[1], count($tried[1])));
        $text = sprintf('Held %d of %d, before %d of %d', $held[1], count($tried[1]), $held[0], count($tried[0]));
        $allHeld = $held[0] === count($tried[0]) && $held[1] === count($tried[1]);

        return [
            match (true) {
                $allHeld => ChangeVerdict::NobodyLooked,
                $comparison->difference->low > 0 => ChangeVerdict::Fixed,
                $comparison->difference->high < 0 => ChangeVerdict::Worse,
                default => ChangeVerdict::NoEffect,
            },
            $text.($allHeld ? '. Both pass, so this trial no longer tells them apart: the improvement is only claimed until it is made harder.' : sprintf('; the difference may lie between %d and %d points.', round(100 * (float) $comparison->difference->low), round(100 * (float) $comparison->difference->high))),
            array_map(static fn (RunFact $r): string => $r->id, [...$tried[0], ...$tried[1]]),
        ];
    }

    /**
     * @param list<ParameterView> $here
     * @param list<ParameterView> $parent
     *
     * @return list<ParameterRow>
     */
    private static function parameters(array $here, array $parent, bool $hasParent): array
    {
        $before = array_column(array_map(static fn (ParameterView $p): array => [$p->name, $p], $parent), 1, 0);
        $rows = [];
        foreach ($here as $parameter) {
            $old = $before[$parameter->name] ?? null;
            unset($before[$parameter->name]);
            $rows[] = $old === null
                ? new ParameterRow($parameter->name, $parameter, null, null, null, $hasParent ? 'new' : 'same')
                : self::parameter($parameter, $old);
        }
        foreach ($before as $name => $gone) {
            $rows[] = new ParameterRow((string) $name, null, $gone->measure, null, null, 'gone');
        }

        return $rows;
    }

    private static function parameter(ParameterView $here, ParameterView $old): ParameterRow
    {
        if (abs($here->measure->si - $old->measure->si) <= 1e-12 * max(abs($here->measure->si), abs($old->measure->si))) {
            return new ParameterRow($here->name, $here, $old->measure, null, null, 'same');
        }
        try {
            $before = Quantity::of($old->measure->value, $old->measure->unit, $old->measure->resolution)->to($here->measure->unit);
        } catch (CoreException) {
            return new ParameterRow($here->name, $here, $old->measure, 'another kind of quantity', null, 'changed');
        }
        $difference = $here->measure->value - $before->value;
        $decimals = Digits::decimalsOf(max($here->measure->resolution ?? 0.0, $before->resolution ?? 0.0));
        $sign = $difference < 0 ? '' : '+';
        $offset = $before->unit->offset !== 0.0;

        return new ParameterRow(
            $here->name, $here, $old->measure, $sign.Digits::decimals($difference, $decimals).' '.$here->measure->unit,
            // 20 °C is not twice 10 °C: a percentage of a temperature point has no meaning.
            $before->value === 0.0 || $offset ? null : $sign.Digits::plain(100 * $difference / abs($before->value), 2).' %', 'changed',
        );
    }

    /**
     * @param list<PartView> $here
     * @param list<PartView> $parent
     *
     * @return list<PartRow>
     */
    private static function parts(array $here, array $parent, bool $hasParent): array
    {
        $before = array_column(array_map(static fn (PartView $p): array => [$p->name, $p], $parent), 1, 0);
        $rows = [];
        foreach ($here as $part) {
            $old = $before[$part->name] ?? null;
            unset($before[$part->name]);
            $differs = $old === null ? [] : array_filter([
                $old->material !== $part->material ? sprintf('material was %s', $old->material === '' ? 'not named' : $old->material) : '',
                $old->quantity !== $part->quantity ? sprintf('was %s', Digits::plain($old->quantity, 4)) : '',
                $old->cost !== $part->cost ? sprintf('cost was %s', Digits::decimals($old->cost, 2)) : '',
            ]);
            $rows[] = new PartRow($part, self::sum([$part]), $old === null ? ($hasParent ? 'new' : 'same') : ($differs === [] ? 'same' : 'changed'), implode(', ', $differs));
        }
        foreach ($before as $gone) {
            $rows[] = new PartRow($gone, self::sum([$gone]), 'gone', 'no longer there');
        }

        return $rows;
    }

    /** @param list<PartView> $parts */
    private static function sum(array $parts): string
    {
        return Sums::ofParts(array_map(static fn (PartView $p): array => ['quantity' => $p->quantity, 'cost' => number_format($p->cost, 4, '.', '')], $parts));
    }

    private function article(Article $article): ArticleRow
    {
        $past = ArticlePast::before($this->db, $article);
        $words = $past->runs === 0 && $past->lost === 0 ? 'fresh' : sprintf('%d %s', $past->runs, $past->runs === 1 ? 'run' : 'runs')
            .($past->failures > 0 ? sprintf(', %d failed', $past->failures) : '').($past->lost > 0 ? ', lost in handling' : '');

        return new ArticleRow($article->view(), $past->runs, $past->failures, $past->lost, $words);
    }

    /**
     * @param class-string<Parameter>|class-string<Part> $class
     *
     * @return ($class is class-string<Parameter> ? list<ParameterView> : list<PartView>)
     */
    private function views(string $class, Revision $revision): array
    {
        return array_map(static fn (Parameter|Part $p): ParameterView|PartView => $p->view(), $this->records->all($class, ['revision' => $revision]));
    }

    /** @param list<ChangeRow> $changes */
    private static function sentence(Revision $revision, array $changes, int $articles, ?string $difference, string $currency): string
    {
        $parent = $revision->parent();
        if ($parent === null) {
            return sprintf('Build %s is the first. Log what it is made of; the next build will be measured against it.', $revision->letter());
        }
        $n = count($changes);
        $text = sprintf('Build %s differs from %s by %s', $revision->letter(), $parent->letter(), $n === 0 ? 'nothing that anybody wrote down' : ($n === 1 ? 'one change' : $n.' changes'));
        $looked = count(array_filter($changes, static fn (ChangeRow $c): bool => ($c->change->verdict ?? $c->computed) !== ChangeVerdict::NobodyLooked));
        if ($n > 0) {
            $text .= $looked === $n ? '; all have a verdict' : sprintf('; %s %d of them', $looked === 0 ? 'nobody has looked at what came of the' : 'nobody has looked at', $n - $looked);
            $text = str_replace('of the '.($n - $looked).' of them', $n === 1 ? 'of it' : 'of any of them', $text);
        }
        if ($difference !== null && (float) $difference !== 0.0) {
            $text .= sprintf('. Its parts cost %s %s %s', Digits::decimals(abs((float) $difference), 2), $currency, (float) $difference < 0 ? 'less' : 'more');
        }

        return $text.($articles === 0 ? '. No unit has been built yet.' : '.');
    }
}
