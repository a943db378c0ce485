<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Panel;

use Lustrum\Account\CurrentUser;
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
        private CurrentUser $user,
    ) {
    }

    public function of(Panel $panel): PanelPage
    {
        $book = $this->books->open($panel->belongsTo());
        $sheets = $this->sheets($panel);
        $inTime = array_values(array_filter($sheets, static fn (PanelSheetView $s): bool => !$s->late));
        $codes = self::codes($panel, $sheets);
        $view = $panel->view();
        $isBlind = !$panel->isUnblinded();
        $me = $this->user->user();
        [$serves, $isOpen] = [$panel->isServer($me), $panel->isOpenTo($me)];
        $missing = [];
        foreach ($isBlind ? [] : $codes as $rater => $served) {
            $none = array_map(
                static fn (PanelCode $c): string => $c->code, array_filter($served, static fn (PanelCode $c): bool => !$c->done || $c->late),
            );
            if ($none !== []) {
                $missing[] = PanelWords::missing((string) $rater, array_values($none));
            }
        }

        return new PanelPage(
            PanelWords::sentence(count($view->serials), count($view->raters), count($inTime), !$isBlind, count($sheets) - count($inTime)),
            $view,
            $panel->trial()->name(), $panel->trial()->revision()->view(), $serves, $isOpen, self::served($codes, $serves, $isOpen),
            self::howBlind($panel, $inTime), $missing,
            $isBlind ? [] : $this->results($panel, $inTime, $book), $isBlind ? [] : self::preferences($panel, $inTime, $book->device->confidence),
            $isBlind ? '' : self::blind($panel, $inTime, $book->device->confidence),
        );
    }

    public function rate(Panel $panel, string $rater): RatePage
    {
        $book = $this->books->open($panel->belongsTo());
        $all = self::codes($panel, $this->sheets($panel));
        $open = array_filter($all, static fn (array $codes): bool => self::next($codes) !== null);
        $mine = $all[$rater] ?? [];
        $next = self::next($mine);
        $codes = array_map(static fn (PanelCode $c): string => $c->code, $mine);
        $place = $next === null ? 0 : (int) array_search($next->code, $codes, true);
        $isLast = $next !== null && count(array_filter($mine, static fn (PanelCode $c): bool => !$c->done)) === 1;

        return new RatePage(
            $panel->id()->toRfc4122(), array_map(strval(...), array_keys($open)), isset($all[$rater]) ? $rater : '', $next->code ?? '',
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
     * @return array<array-key, list<PanelCode>> by rater, each in the order of serving
     */
    private static function codes(Panel $panel, array $sheets): array
    {
        $came = [];
        foreach ($sheets as $sheet) {
            $came[$sheet->rater.' '.$sheet->code] = $sheet->late;
        }
        $out = [];
        foreach ($panel->raters() as $rater) {
            $out[$rater] = array_map(static fn (string $code): PanelCode => new PanelCode(
                $code, $panel->serialOf($code) ?? '', isset($came[$rater.' '.$code]), $came[$rater.' '.$code] ?? false,
            ), $panel->servedTo($rater));
        }

        return $out;
    }

    /** @param list<PanelCode> $codes */
    private static function next(array $codes): ?PanelCode
    {
        return array_values(array_filter($codes, static fn (PanelCode $c): bool => !$c->done))[0] ?? null;
    }

    /**
     * How far each is; what stands behind a code is told to whoever serves, one at a time, and to those to whom it is open.
     *
     * @param array<array-key, list<PanelCode>> $codes
     *
     * @return list<PanelServed>
     */
    private static function served(array $codes, bool $serves, bool $isOpen): array
    {
        $out = [];
        foreach ($codes as $rater => $served) {
            $out[] = new PanelServed(
                (string) $rater, count(array_filter($served, static fn (PanelCode $c): bool => $c->done)), count($served),
                $serves || $isOpen ? self::next($served) : null, $isOpen ? $served : [],
            );
        }

        return $out;
    }

    /**
     * What bears on how blind it was: who looked before, and what was rated with open eyes.
     *
     * @param list<PanelSheetView> $sheets
     *
     * @return list<string>
     */
    private static function howBlind(Panel $panel, array $sheets): array
    {
        $notBlind = array_values(array_unique(array_map(
            static fn (PanelSheetView $s): string => $s->rater, array_filter($sheets, static fn (PanelSheetView $s): bool => $s->notBlind),
        )));
        $out = $notBlind === [] ? [] : [PanelWords::notBlind($notBlind)];
        foreach ($panel->opened() as $opening) {
            $out[] = PanelWords::opened($opening->by, $opening->because);
        }

        return $out;
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
    private static function preferences(Panel $panel, array $sheets, float $confidence): array
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
        $said = array_slice($names, 0, min(self::PAIRS, count($names) - 1));
        foreach ($said as $i => $name) {
            // All that are said share the risk that one of them is chance.
            $share = $ranked->interval($name, $names[$i + 1], 1 - (1 - $confidence) / count($said));
            $out[] = PanelWords::preferred($name, $names[$i + 1], $share, count($pairs));
        }

        return $out;
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
