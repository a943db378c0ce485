<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Core\CoreException;
use Lustrum\Core\Footing\Control;
use Lustrum\Core\Judging\Scatter;
use Lustrum\Core\Plan\Layout;
use Lustrum\Core\Plan\PlanKind;
use Lustrum\Core\Plan\Slot;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\UsedUp;
use Lustrum\Core\Statistics\Planning;
use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Wording\MethodSheetWords;
use Lustrum\Core\Wording\PlanWords;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\LayoutInput;
use Lustrum\Facts\PlanFacts;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\Invalid;

/** Works out what a plan would take, what it could find, and what its order costs. */
final readonly class PlanPreviews
{
    private const POWER = 0.8;

    /** Parameters that can be held apart at once. */
    private const APART = 10;

    public function __construct(
        private Records $records,
        private PlanFacts $facts,
    ) {
    }

    /** @throws Invalid at the field that is wrong */
    public function of(Method $method, Revision $build, LayoutInput $input): PlanPreview
    {
        $layout = $input->layout();
        try {
            [$slots, $cells] = [$layout->slots($method->factors()), $layout->cells()];
        } catch (CoreException $e) {
            throw Invalid::at('layout.'.$e->path, $e->getMessage());
        }
        $texts = array_map(static fn (Slot $s): string => $s->text(), $slots);
        $changes = 0;
        for ($i = 1; $i < count($texts); ++$i) {
            $changes += $texts[$i] === $texts[$i - 1] ? 0 : 1;
        }
        $usesUp = array_map(static fn (UsedUp $u): string => MethodSheetWords::usedUp($u->times(count($slots))), $method->view()->usesUp);

        return new PlanPreview(
            PlanWords::takes($slots, $method->minutes()->lasting($layout->minutes), count($layout->leftOut)), count($slots),
            $this->finds($method, $layout, count($slots)),
            array_values(array_filter([
                ...PlanWords::costs($layout, $method->wears(), $changes), PlanWords::together($this->alone($build, $layout)), self::entangled($build, $layout),
                $usesUp === [] ? '' : PlanWords::usesUp(implode(', ', $usesUp)),
            ])),
            array_map(static fn (array $cell): PlannedCell => new PlannedCell(
                PlanRow::found($cell[0]), $cell[1], (new Slot(0, 0, $cell[0], $cell[1]))->text(), $layout->why($cell[0], $cell[1]),
            ), $cells),
            $texts,
        );
    }

    /** @return list<string> */
    private function finds(Method $method, Layout $layout, int $runs): array
    {
        $sides = max(1, count($layout->arms), ...array_map(count(...), array_values($layout->levels)) ?: [1]);
        $each = intdiv($runs, $sides);
        if (!$layout->kind->isLaidOut() || $sides < 2 || $each < 1) {
            return [];
        }
        [$name, $confidence] = [$method->device()->metricName(...), $method->device()->view()->confidence];
        $recent = $this->facts->recent($method->id()->toRfc4122());
        $out = [];
        foreach ($method->channels() as $channel) {
            $sd = $each < 2 ? null : Scatter::within($recent, $channel->metric);
            $out[] = $sd === null || $sd <= 0.0 ? PlanWords::findsNothing($name($channel->metric), $each) : PlanWords::finds(
                $name($channel->metric),
                Planning::difference($sd, $each, self::POWER, $confidence, $layout->kind === PlanKind::Pairs) / Units::parse($channel->unit)->factor,
                $channel->unit, $each,
            );
        }
        foreach ($method->questions() as $question) {
            $out[] = PlanWords::proves($name($question->metric), $each, 1 - Proportion::of($each, $each)->lower($confidence));
        }

        return $out;
    }

    /** What varies together over the variants of a plan; of more than two values of one nobody could say which did it. */
    private static function entangled(Revision $build, Layout $layout): string
    {
        $values = $names = [];
        foreach ($build->view()->arms as $arm) {
            if (in_array($arm->name, $layout->arms, true)) {
                $values[$arm->name] = array_map(trim(...), array_column($arm->values, 'text', 'name'));
                $names += $values[$arm->name];
            }
        }
        $two = $costs = [];
        foreach (array_keys($names) as $name) {
            $seen = array_values(array_unique(array_map(static fn (array $of): string => $of[$name] ?? '', $values)));
            if (count($seen) === 2) {
                $two[$name] = ['a' => $seen[0], 'b' => $seen[1]];
                $costs[$name] = ['a' => 0.0, 'b' => 0.0];
            }
        }
        if (count($two) < 2 || count($two) > self::APART) {
            return '';
        }
        $runs = [];
        foreach ($values as $of) {
            $run = [];
            foreach ($two as $name => $sides) {
                $run[$name] = ($of[$name] ?? '') === $sides['a'] ? 'a' : 'b';
            }
            $runs[] = $run;
        }
        $control = Control::of($costs, $runs, 0.0);

        return PlanWords::entangled($control->entangled, array_map(static fn (array $run): string => implode(' with ', array_map(
            static fn (string $name, string $side): string => trim($name.' '.$two[$name][$side]), array_map(strval(...), array_keys($run['levels'])), $run['levels'],
        )), $control->runs));
    }

    /** @return list<string> variants of the plan that there is only one article of */
    private function alone(Revision $build, Layout $layout): array
    {
        if (count($layout->arms) < 2) {
            return [];
        }
        $articles = [];
        foreach ($this->records->all(Article::class, ['revision' => $build]) as $article) {
            $articles[$article->arm()] = ($articles[$article->arm()] ?? 0) + ($article->isHere() ? 1 : 0);
        }

        return array_values(array_filter($layout->arms, static fn (string $arm): bool => ($articles[$arm] ?? 0) < 2));
    }
}
