<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Core\CoreException;
use Lustrum\Core\Judging\MethodSpread;
use Lustrum\Core\Plan\Layout;
use Lustrum\Core\Plan\PlanKind;
use Lustrum\Core\Plan\Slot;
use Lustrum\Core\Plan\Together;
use Lustrum\Core\Run\UsedUp;
use Lustrum\Core\Statistics\KnownSpread;
use Lustrum\Core\Statistics\Planning;
use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Wording\MethodSheetWords;
use Lustrum\Core\Wording\PlanWords;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Revision\Arm;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\LayoutInput;
use Lustrum\Facts\Books;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\Invalid;

/** Works out what a plan would take, what it could find, and what its order costs. */
final readonly class PlanPreviews
{
    private const POWER = 0.8;

    public function __construct(
        private Records $records,
        private Books $books,
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
                ...PlanWords::costs($layout, $method->wears(), $changes), PlanWords::together($this->alone($build, $layout)),
                self::entangled($build, $layout),
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
        $book = $this->books->open($method->device());
        $out = [];
        foreach ($method->channels() as $channel) {
            $spread = MethodSpread::together(
                $book->repeats($method->name(), $method->edition(), $channel->metric, $method->view()->rig), MethodSpread::TO_PLAN,
            );
            $isPaired = $layout->kind === PlanKind::Pairs;
            // What is known before counts in no pairs, which have a scatter of their own.
            $known = $spread !== null && $spread->df >= KnownSpread::LEAST && !$isPaired ? KnownSpread::WEIGHT : 0.0;
            $found = static fn (MethodSpread $of, int $n): ?float => $known <= 0.0 && $n < 2 ? null : Planning::difference(
                $of->sd($channel->unit), $n, self::POWER, $confidence, $isPaired, $known,
            );
            $difference = $spread === null ? null : $found($spread, $each);
            $out[] = $spread === null || $difference === null ? PlanWords::findsNothing($name($channel->metric), $each) : PlanWords::finds(
                $name($channel->metric), $difference, $channel->unit, $each, $found($spread, 1), $spread->doubt(),
            );
        }
        foreach ($method->questions() as $question) {
            $out[] = PlanWords::proves($name($question->metric), $each, 1 - Proportion::of($each, $each)->lower($confidence));
        }

        return $out;
    }

    private static function entangled(Revision $build, Layout $layout): string
    {
        $variants = array_filter($build->view()->arms, static fn (Arm $a): bool => in_array($a->name, $layout->arms, true));

        return PlanWords::entangled(Together::of(array_values(array_map(
            static fn (Arm $a): array => array_map(trim(...), array_column($a->values, 'text', 'name')), $variants,
        ))));
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
