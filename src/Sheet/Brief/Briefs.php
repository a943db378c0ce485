<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Brief;

use Lustrum\Core\Belief\Belief;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\StepTried;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Said\Wish;
use Lustrum\Core\Wording\BriefWords;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Core\Wording\FrameWords;
use Lustrum\Core\Wording\WishWords;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Device\Metric;
use Lustrum\Domain\Device\MetricView;
use Lustrum\Domain\Device\Person;
use Lustrum\Domain\Device\PersonView;
use Lustrum\Domain\Device\Requirement;
use Lustrum\Domain\Device\RequirementSource;
use Lustrum\Domain\Device\RequirementView;
use Lustrum\Domain\Device\UseCase;
use Lustrum\Domain\Device\UseStep;
use Lustrum\Domain\Device\UseStepView;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Revision\RevisionState;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\BriefFacts;
use Lustrum\Facts\WorkshopFacts;
use Lustrum\Record\Records;
use Lustrum\Sheet\Choice\FailureChoices;
use Lustrum\Sheet\Choice\Pick;

/** Works out the brief; it needs no run, and tells more with each. */
final readonly class Briefs
{
    /** So many unmeasured metrics stand in the sentence. */
    private const NAMED = 3;

    public function __construct(
        private Records $records,
        private Books $books,
        private BriefFacts $facts,
        private WorkshopFacts $workshop,
        private Uses $uses,
        private Beliefs $beliefs,
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
        $book = $this->books->open($device);
        $build = $this->judged($device, $book);
        $steps = $this->steps($device, $build, $book);
        $failures = FailureChoices::of($book, array_map(static fn (Build $b): string => $b->id, array_values($book->lineage()->builds)));
        $assumptions = $this->beliefs->of($device);

        return new BriefSheet(
            $this->sentence($requirements, $device), FrameWords::limits(
                $view->gates, $view->confidence, $device->costLimit(), $view->currency, $view->hoursLimit, $view->changesLimit,
            ), $view, $requirements, $metrics,
            array_map(static fn (MetricView $m): string => $m->name, $metrics), $this->places($device), $this->sizes($device),
            array_map(static fn (Method $m): string => $m->name(), $this->records->all(Method::class, ['device' => $device])),
            $this->uses->of($device, $build, $book), $build->letter ?? '', $steps[0], $steps[1], $assumptions,
            BriefWords::beliefs(array_map(static fn (AssumptionRow $r): Belief => $r->standing, $assumptions)),
            $this->persons($device), $failures,
            array_map(static fn (array $run): Pick => new Pick(
                $run['id'], BriefWords::run($run['trial'], $run['number'], $run['letter']),
            ), $this->facts->recentRuns($book->device->id)),
            array_map(static fn (array $m): Pick => new Pick($m['id'], $m['name']), $this->workshop->moduleRequirements($book->device->id)),
            array_map(
                static fn (array $c): string => BriefWords::carrier($c['name'], $c['letters']),
                $this->workshop->carriers($book->device->id),
            ), BriefWords::origin(
                $view->beganWith->name ?? '', $view->beganWith->author ?? '', $view->beganWith->terms ?? '',
                $view->beganWith->alterations ?? '',
            ),
        );
    }

    /** The newest build that goes on and was tried; before that, the newest. */
    private function judged(Device $device, Book $book): ?Build
    {
        $abandoned = [];
        foreach ($this->records->all(Revision::class, ['device' => $device, 'state' => RevisionState::Abandoned]) as $revision) {
            $abandoned[$revision->id()->toRfc4122()] = true;
        }
        $newest = array_reverse(array_values(array_diff_key($book->lineage()->builds, $abandoned)));
        foreach ($newest as $build) {
            if ($book->isTried($build)) {
                return $build;
            }
        }

        return $newest[0] ?? null;
    }

    /** @return array{list<StepRow>, string} the steps of use, and the sentence of them */
    private function steps(Device $device, ?Build $build, Book $book): array
    {
        $views = array_map(static fn (UseStep $s): UseStepView => $s->view(), $this->records->all(UseStep::class, ['device' => $device]));
        usort($views, static fn (UseStepView $a, UseStepView $b): int => $a->place <=> $b->place);
        $names = array_column($views, 'name', 'id');
        $tried = match (true) {
            $views === [] => [],
            $build === null => array_map(
                static fn (string $id, string $name): StepTried => new StepTried($id, $name, null, false), array_keys($names), $names,
            ),
            default => StepTried::on($build, $book->lineage(), $names, $this->facts->walked($book->device->id)),
        };
        $of = array_column($tried, null, 'id');
        $uses = [];
        foreach ($this->records->all(UseCase::class, ['device' => $device]) as $use) {
            $uses[$use->id()->toRfc4122()] = $use->name();
        }

        return [array_map(static fn (UseStepView $s): StepRow => new StepRow(
            $s, $uses[$s->use ?? ''] ?? '', BriefWords::step($of[$s->id]), $of[$s->id]->isNever(),
        ), $views), BriefWords::steps($tried, $build->letter ?? '')];
    }

    /** @return list<PersonRow> by name */
    private function persons(Device $device): array
    {
        $views = array_map(static fn (Person $p): PersonView => $p->view(), $this->records->all(Person::class, ['device' => $device]));
        usort($views, static fn (PersonView $a, PersonView $b): int => strnatcasecmp($a->name, $b->name));
        $did = $views === [] ? [] : $this->facts->did($device->id()->toRfc4122());

        return array_map(static fn (PersonView $p): PersonRow => new PersonRow($p, BriefWords::did(
            $did[mb_strtolower($p->name)] ?? ['asked' => 0, 'proposed' => 0, 'said' => 0, 'signed' => 0, 'keeps' => 0, 'believes' => 0],
        )), $views);
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
