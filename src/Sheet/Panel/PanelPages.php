<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Panel;

use Lustrum\Core\CoreException;
use Lustrum\Core\Panel\Blind;
use Lustrum\Core\Panel\PairedComparisons;
use Lustrum\Core\Panel\Ratings;
use Lustrum\Core\Quantity\Typed;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Statistics\Natural;
use Lustrum\Core\Wording\Numbers;
use Lustrum\Core\Wording\PanelWords;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Trial\Panel;
use Lustrum\Domain\Trial\PanelScale;
use Lustrum\Domain\Trial\PanelSheet;
use Lustrum\Domain\Trial\PanelSheetView;
use Lustrum\Domain\Trial\Preferred;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Record\Records;

/** Works out a panel: for whoever serves, and for whoever rates. */
final readonly class PanelPages
{
    /** Decimals of a mean on a line of a hundred. */
    private const DECIMALS = 1;

    /** A line without a unit of its own goes to a hundred. */
    private const MOST = 100.0;

    /** Pairs of preference that are said. */
    private const PAIRS = 6;

    public function __construct(
        private Records $records,
        private Books $books,
    ) {
    }

    public function of(Panel $panel): PanelPage
    {
        $book = $this->books->open($panel->belongsTo());
        $sheets = $this->sheets($panel);
        $inTime = array_values(array_filter($sheets, static fn (PanelSheetView $s): bool => !$s->late));
        $served = self::served($panel, $sheets);
        $view = $panel->view();
        $isOpen = !$panel->isUnblinded();
        $missing = [];
        foreach ($isOpen ? [] : $served as $one) {
            $codes = array_map(
                static fn (PanelCode $c): string => $c->code,
                array_filter($one->codes, static fn (PanelCode $c): bool => !$c->done || $c->late),
            );
            if ($codes !== []) {
                $missing[] = PanelWords::missing($one->rater, array_values($codes));
            }
        }

        return new PanelPage(
            PanelWords::sentence(count($view->serials), count($view->raters), count($inTime), !$isOpen, count($sheets) - count($inTime)),
            $view,
            $panel->trial()->name(), $panel->trial()->revision()->view(), $served, $missing,
            $isOpen ? [] : $this->results($panel, $inTime, $book), $isOpen ? [] : self::preferences($panel, $inTime),
            $isOpen ? '' : self::blind($panel, $inTime, $book->device->confidence),
        );
    }

    public function rate(Panel $panel, string $rater): RatePage
    {
        $book = $this->books->open($panel->belongsTo());
        $served = self::served($panel, $this->sheets($panel));
        $open = array_values(array_filter($served, static fn (PanelServed $s): bool => $s->next() !== null));
        $mine = array_column($served, null, 'rater')[$rater] ?? null;
        $next = $mine?->next();
        $codes = array_map(static fn (PanelCode $c): string => $c->code, $mine->codes ?? []);
        $place = $next === null ? 0 : (int) array_search($next->code, $codes, true);
        $isLast = $next !== null && count(array_filter($mine->codes, static fn (PanelCode $c): bool => !$c->done)) === 1;

        return new RatePage(
            $panel->id()->toRfc4122(), array_map(static fn (PanelServed $s): string => $s->rater, $open), $mine->rater ?? '',
            $next->code ?? '',
            $place + 1, count($codes), $panel->prefers() && $next !== null && $place > 0 ? $codes[$place - 1] : '',
            $next === null ? [] : $this->scales($panel, $book), $isLast ? $panel->guess() : '',
            $isLast && $panel->guess() !== '' ? $codes : [],
        );
    }

    /** @return list<PanelSheetView> */
    private function sheets(Panel $panel): array
    {
        return array_map(
            static fn (PanelSheet $s): PanelSheetView => $s->view(), $this->records->all(PanelSheet::class, ['panel' => $panel]),
        );
    }

    /**
     * @param list<PanelSheetView> $sheets
     *
     * @return list<PanelServed>
     */
    private static function served(Panel $panel, array $sheets): array
    {
        $came = [];
        foreach ($sheets as $sheet) {
            $came[$sheet->rater.' '.$sheet->code] = $sheet->late;
        }

        return array_map(static fn (string $rater): PanelServed => new PanelServed($rater, array_map(
            static fn (string $code): PanelCode => new PanelCode(
                $code, $panel->serialOf($code) ?? '', isset($came[$rater.' '.$code]), $came[$rater.' '.$code] ?? false,
            ), $panel->servedTo($rater),
        )), $panel->raters());
    }

    /** @return list<RateScale> */
    private function scales(Panel $panel, Book $book): array
    {
        $channels = array_column($panel->trial()->method()->channels(), null, 'key');
        $out = [];
        foreach ($panel->scales() as $scale) {
            $channel = $channels[$scale->channel] ?? null;
            if ($channel instanceof Channel) {
                $out[] = new RateScale(
                    $scale->channel, $book->metric($channel->metric), $book->words()[$channel->metric] ?? [], $scale->low, $scale->high,
                    $channel->high ?? self::MOST,
                );
            }
        }

        return $out;
    }

    /**
     * @param list<PanelSheetView> $sheets
     *
     * @return list<PanelScaleResult>
     */
    private function results(Panel $panel, array $sheets, Book $book): array
    {
        $channels = array_column($panel->trial()->method()->channels(), null, 'key');
        $arms = [];
        foreach ($this->records->all(Article::class, ['revision' => $panel->trial()->revision()]) as $article) {
            $arms[$article->serial()] = $article->arm();
        }
        $out = [];
        foreach ($panel->scales() as $scale) {
            $channel = $channels[$scale->channel] ?? null;
            if (!$channel instanceof Channel) {
                continue;
            }
            $words = $book->words()[$channel->metric] ?? [];
            $ratings = self::ratings($panel, $scale, $sheets, $channel, $words);
            try {
                $found = Ratings::of($ratings, $book->device->confidence);
            } catch (CoreException) {
                continue;
            }
            // No interval goes past the ends of the line that was rated on.
            $line = Natural::between($channel->low ?? 0.0, $channel->high ?? self::MOST);
            $items = $words !== [] ? [] : array_map(static function (array $i) use ($arms, $line): PanelItem {
                $i['low'] = $i['low'] === null ? null : $line->clip($i['low']);
                $i['high'] = $i['high'] === null ? null : $line->clip($i['high']);

                return new PanelItem($i['item'], $arms[$i['item']] ?? '', self::said($i), $i['mean'], $i['low'], $i['high'], $i['n']);
            }, $found->items);
            usort($items, static fn (PanelItem $a, PanelItem $b): int => $b->mean <=> $a->mean);
            $metric = $book->metric($channel->metric);
            $out[] = new PanelScaleResult(
                $metric, $channel->unit, PanelWords::agreement($metric, $found->friedman, $book->device->confidence), $items,
            );
        }

        return $out;
    }

    /** @param array{item: string, mean: float, n: int, low: float|null, high: float|null} $item */
    private static function said(array $item): string
    {
        $mean = Numbers::amount($item['mean'], self::DECIMALS, '');

        return trim($item['low'] === null || $item['high'] === null ? $mean : sprintf(
            '%s [%s, %s]', trim($mean), trim(Numbers::amount($item['low'], self::DECIMALS, '')),
            trim(Numbers::amount($item['high'], self::DECIMALS, '')),
        ));
    }

    /**
     * @param list<PanelSheetView> $sheets
     * @param list<string>         $words  lowest first: their places count, for the order alone
     *
     * @return list<array{rater: string, item: string, value: float}>
     */
    private static function ratings(Panel $panel, PanelScale $scale, array $sheets, Channel $channel, array $words): array
    {
        $out = [];
        foreach ($sheets as $sheet) {
            $text = array_column($sheet->ratings, 'text', 'name')[$scale->channel] ?? '';
            $place = array_search($text, $words, true);
            try {
                $value = $words !== [] ? ($place === false ? null : (float) $place) : Typed::read($text, null, $channel->unit)->value;
            } catch (CoreException) {
                $value = null;
            }
            $serial = $panel->serialOf($sheet->code);
            if ($value !== null && $serial !== null) {
                $out[] = ['rater' => $sheet->rater, 'item' => $serial, 'value' => $value];
            }
        }

        return $out;
    }

    /**
     * @param list<PanelSheetView> $sheets
     *
     * @return list<string>
     */
    private static function preferences(Panel $panel, array $sheets): array
    {
        $pairs = [];
        foreach ($sheets as $sheet) {
            $codes = $panel->servedTo($sheet->rater);
            $place = array_search($sheet->code, $codes, true);
            $before = is_int($place) && $place > 0 ? $panel->serialOf($codes[$place - 1]) : null;
            $own = $panel->serialOf($sheet->code);
            if ($before !== null && $own !== null && in_array($sheet->prefers, [Preferred::This, Preferred::Before], true)) {
                $pairs[] = $sheet->prefers === Preferred::This ? ['winner' => $own, 'loser' => $before] : [
                    'winner' => $before, 'loser' => $own,
                ];
            }
        }
        if ($pairs === []) {
            return [];
        }
        try {
            $ranked = PairedComparisons::of($pairs);
        } catch (CoreException $e) {
            return [PanelWords::noPreference($e->getMessage())];
        }
        $strengths = $ranked->strengths;
        arsort($strengths);
        $names = array_map(strval(...), array_keys($strengths));
        $out = [];
        foreach (array_slice($names, 0, -1) as $i => $name) {
            $out[] = PanelWords::preferred($name, $names[$i + 1], $ranked->preference[$name][$names[$i + 1]], count($pairs));
        }

        return array_slice($out, 0, self::PAIRS);
    }

    /** @param list<PanelSheetView> $sheets */
    private static function blind(Panel $panel, array $sheets, float $confidence): string
    {
        $guesses = array_values(array_filter(
            array_map(static fn (PanelSheetView $s): string => $s->guess, $sheets), static fn (string $g): bool => $g !== '',
        ));
        $right = array_filter($guesses, static fn (string $code): bool => $panel->serialOf($code) === $panel->right());
        $items = count($panel->view()->serials);

        return $guesses === [] ? '' : PanelWords::blind(Blind::of(count($right), count($guesses), $items, $confidence), $items);
    }
}
