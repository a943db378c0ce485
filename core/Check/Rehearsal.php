<?php

declare(strict_types=1);

namespace Lustrum\Core\Check;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Statistics\NoValues;

/** How much of the real thing a rehearsal carries (`check.rehearsal`). */
final readonly class Rehearsal
{
    private const EQUAL = 1e-9;

    /**
     * @param list<Share>  $shares  as the use case names them
     * @param list<string> $missing not rehearsed at all
     */
    private function __construct(
        public array $shares,
        public array $missing,
    ) {
    }

    /**
     * @param array<string, Quantity> $use
     * @param array<string, Quantity> $rehearsal what the use does not name is left out
     *
     * @throws NoValues|\Lustrum\Core\Quantity\UnitMismatch
     */
    public static function of(array $use, array $rehearsal): self
    {
        if ($use === []) {
            throw NoValues::given('use');
        }
        $shares = $missing = [];
        foreach ($use as $what => $real) {
            $tried = $rehearsal[$what] ?? null;
            if ($tried === null) {
                $missing[] = (string) $what;
                $shares[] = new Share((string) $what, null, $real->value, $real->unit->symbol);
                continue;
            }
            $unit = $real->unit;
            $lacking = ($real->si() - $tried->to($unit->symbol)->si()) / $unit->factor;
            $share = abs($real->si()) > 0.0 ? $tried->si() / $real->si() : null;
            $shares[] = new Share((string) $what, $share, $lacking > self::EQUAL * abs($real->value) ? $lacking : 0.0, $unit->symbol);
        }

        return new self($shares, $missing);
    }

    /**
     * What several rehearsals of one use carry at the most, each load by itself: none of them need carry all of it at once.
     *
     * @param non-empty-list<self> $some of the same use
     */
    public static function atMost(array $some): self
    {
        $better = static fn (Share $a, Share $b): Share => ($b->share ?? 0.0) > ($a->share ?? 0.0) ? $b : $a;
        $shares = $some[0]->shares;
        foreach (array_slice($some, 1) as $other) {
            $shares = array_map($better, $shares, $other->shares);
        }

        return new self($shares, array_values(array_intersect(...array_map(static fn (self $r): array => $r->missing, $some))));
    }

    /** @return list<string> rehearsed with less than the real thing has */
    public function short(): array
    {
        $short = array_filter($this->shares, static fn (Share $s): bool => $s->share !== null && $s->share < 1 - self::EQUAL);

        return array_values(array_map(static fn (Share $s): string => $s->what, $short));
    }

    public function least(): ?Share
    {
        $least = null;
        foreach ($this->shares as $share) {
            $least = $share->share !== null && ($least?->share === null || $share->share < $least->share) ? $share : $least;
        }

        return $least;
    }

    public function isFull(): bool
    {
        return $this->missing === [] && $this->short() === [];
    }

    /**
     * @param list<array{string, Quantity}> $named
     *
     * @return array<string, Quantity>
     *
     * @throws InvalidInput when one is there twice
     */
    public static function named(array $named, string $path): array
    {
        $out = [];
        foreach ($named as $i => [$what, $quantity]) {
            if (isset($out[$what])) {
                throw InvalidInput::because('A quantity is named once.', $path.'/'.$i.'/what');
            }
            $out[$what] = $quantity;
        }

        return $out;
    }
}
