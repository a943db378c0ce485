<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Brief;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Said\Wish;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Core\Wording\FrameWords;
use Lustrum\Core\Wording\WishWords;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Device\Metric;
use Lustrum\Domain\Device\MetricView;
use Lustrum\Domain\Device\Requirement;
use Lustrum\Domain\Device\RequirementSource;
use Lustrum\Domain\Device\RequirementView;
use Lustrum\Domain\Method\Method;
use Lustrum\Record\Records;
use Lustrum\Sheet\Build\Pick;

/** Works out the brief; it needs no run. */
final readonly class Briefs
{
    /** So many unmeasured metrics stand in the sentence. */
    private const NAMED = 3;

    public function __construct(
        private Records $records,
    ) {
    }

    public function of(Device $device): BriefSheet
    {
        $requirements = array_map(
            static fn (Requirement $r): RequirementView => $r->view(), $this->records->all(Requirement::class, ['device' => $device]),
        );
        usort($requirements, static fn (RequirementView $a, RequirementView $b): int => $a->place <=> $b->place);
        $metrics = array_map(static fn (Metric $m): MetricView => $m->view(), $this->records->all(Metric::class, ['device' => $device]));
        usort($metrics, static fn (MetricView $a, MetricView $b): int => strnatcasecmp($a->name, $b->name));

        $view = $device->view();

        return new BriefSheet(
            $this->sentence($requirements, $device), FrameWords::limits(
                $view->gates, $view->confidence, $device->costLimit(), $view->currency, $view->hoursLimit, $view->changesLimit,
            ), $view, $requirements, $metrics,
            array_map(static fn (MetricView $m): string => $m->name, $metrics), $this->places($device), $this->sizes($device),
            array_map(static fn (Method $m): string => $m->name(), $this->records->all(Method::class, ['device' => $device])),
        );
    }

    /** How a sentence is read as a requirement of this device. */
    public function wish(Device $device, string $sentence): WishView
    {
        $metrics = [];
        foreach ($this->records->all(Metric::class, ['device' => $device]) as $metric) {
            $metrics[$metric->name()] = $metric->dimension();
        }
        $statement = mb_strtoupper(mb_substr(trim($sentence), 0, 1)).mb_substr(trim($sentence), 1);
        $wish = Wish::read(
            $sentence, $metrics, array_map(static fn (Pick $p): string => $p->id, $this->places($device)),
            array_column($this->sizes($device), 'now', 'id'),
        );
        $confidence = $device->view()->confidence;
        if ($wish === null) {
            return new WishView($statement, '', null, null, '', Kind::Mean, [], '', [WishWords::nothing()], '');
        }

        return new WishView(
            $statement, $wish->metric, $wish->direction, $wish->limit, $wish->unit, $wish->kind, $wish->conditions, WishWords::read($wish),
            WishWords::asks($wish, isset($metrics[$wish->metric])), WishWords::takes($wish, $confidence),
        );
    }

    /** @return list<Pick> levels and conditions in words that the methods know, by 'soil=moist' */
    private function places(Device $device): array
    {
        $out = [];
        foreach ($this->records->all(Method::class, ['device' => $device]) as $method) {
            foreach ($method->factors() as $factor) {
                foreach ($factor->isBlock() ? [] : $factor->levels as $level) {
                    $out[$factor->name.'='.$level] = true;
                }
            }
            foreach ($method->conditions() as $condition) {
                foreach ($condition->states as $state) {
                    $out[$condition->name.'='.$state] = true;
                }
            }
        }

        return array_map(static fn (string|int $c): Pick => new Pick((string) $c, EvidenceWords::condition((string) $c)), array_keys($out));
    }

    /** @return list<Pick> factors and conditions that the methods have with a unit, by name */
    private function sizes(Device $device): array
    {
        $out = [];
        foreach ($this->records->all(Method::class, ['device' => $device]) as $method) {
            foreach ($method->factors() as $factor) {
                $out += $factor->kind === FactorKind::Number && !$factor->isBlock() ? [$factor->name => $factor->unit] : [];
            }
            foreach ($method->conditions() as $condition) {
                $out += $condition->unit === '' ? [] : [$condition->name => $condition->unit];
            }
        }

        return array_map(
            static fn (string|int $name, string $unit): Pick => new Pick((string) $name, (string) $name, $unit), array_keys($out), $out,
        );
    }

    /** @param list<RequirementView> $requirements */
    private function sentence(array $requirements, Device $device): string
    {
        $measurable = [];
        foreach ($this->records->all(Method::class, ['device' => $device]) as $method) {
            $measurable += array_fill_keys(array_column($method->questions(), 'metric'), true);
            foreach ($method->channels() as $channel) {
                $measurable[$channel->metric] = true;
            }
        }
        $unmeasured = array_values(array_filter(
            $requirements,
            static fn (RequirementView $r): bool => $r->source === RequirementSource::Runs && !isset($measurable[$r->metricId]),
        ));

        return FrameWords::brief(
            count($requirements), count(array_filter($requirements, static fn (RequirementView $r): bool => $r->must)),
            count(array_filter($requirements, static fn (RequirementView $r): bool => $r->kind === Kind::Every)),
            array_map(static fn (RequirementView $r): string => $r->metric, array_slice($unmeasured, 0, self::NAMED)),
            array_filter($requirements, static fn (RequirementView $r): bool => $r->source !== RequirementSource::Runs) !== [],
        );
    }
}
