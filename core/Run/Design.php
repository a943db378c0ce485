<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/**
 * What a run was made on, whichever article it was: variant, firmware, parameters, parts with materials, and what was changed on
 * the article since. Numbers are of one such state; a change between two runs begins a new one.
 */
final class Design
{
    /** Digits in SI by which parameters are told apart: a conversion of units is no change. */
    private const DIGITS = 9;

    /** @var \WeakMap<Configuration, array<string, self>>|null a pure function of both, so this is only speed */
    private static ?\WeakMap $known = null;

    /**
     * @param string                $key equal for runs on the same state
     * @param array<string, string> $is  as it is said, by what it is
     * @param array<string, string> $own what the article has otherwise than its build, as it is said, by what it is: 'part:belt'
     */
    private function __construct(
        public readonly string $key,
        public readonly string $arm,
        private readonly array $is,
        public readonly array $own,
    ) {
    }

    /** @param list<string> $without what somebody said bears on nothing here: 'part:belt', 'parameter:gap', 'firmware', in one spelling */
    public static function of(Configuration $c, array $without = []): self
    {
        self::$known ??= new \WeakMap();
        $of = self::$known[$c] ?? [];
        $key = implode("\x1f", $without);
        $of[$key] ??= self::read($c, array_fill_keys($without, true));
        self::$known[$c] = $of;

        return $of[$key];
    }

    /** @param array<string, true> $without */
    private static function read(Configuration $c, array $without): self
    {
        $is = $key = [];
        $bears = static fn (string $what, string $name = ''): bool => !isset($without[Deviation::inOneSpelling($what.$name)]);
        foreach ($c->parameters as $parameter) {
            if (!$parameter->follows && $bears('parameter:', $parameter->name)) {
                $is[$parameter->name] = $parameter->text();
                $key[$parameter->name] = $parameter->words === ''
                    ? sprintf('%.'.self::DIGITS.'e', $parameter->si) : mb_strtolower($parameter->words);
            }
        }
        foreach ($c->parts as $part) {
            if (!$bears('part:', $part->name)) {
                continue;
            }
            $is[$part->name] = $part->material === '' ? 'there' : $part->material;
            $key["\x1d".$part->name] = $part->material."\x1f".$part->quantity;
        }
        if ($c->firmware !== '' && $bears('firmware')) {
            $is['firmware'] = $key["\x1dfirmware"] = $c->firmware;
        }
        $own = [];
        // A parameter and the firmware stand among those above already; a lot is of the article.
        foreach ($c->otherwise() as $deviation) {
            if ($deviation->kind === DeviationKind::Lot || !$bears($what = $deviation->what())) {
                continue;
            }
            $own[$what] = trim($deviation->name.' '.$deviation->value);
            if ($deviation->kind === DeviationKind::Part || $deviation->kind === DeviationKind::Workmanship) {
                $is[$deviation->name] = $deviation->value;
                $key["\x1d\x1d".$deviation->name] = mb_strtolower(trim($deviation->value));
            }
        }
        ksort($key);
        ksort($own);

        return new self(substr(hash('sha256', serialize([$c->arm, $key])), 0, 16), $c->arm, $is, $own);
    }

    /** Equal for states of articles of one variant with the same otherwise than its build; empty: nothing. */
    public function ownInShort(): string
    {
        return implode("\x1f", $this->own);
    }

    /**
     * @param list<self> $some
     *
     * @return list<string> names of what is not the same on all of them
     */
    public static function varied(array $some): array
    {
        $names = array_keys(array_replace(...array_map(static fn (self $d): array => $d->is, $some), ...[[]]));

        return array_values(array_map(strval(...), array_filter($names, static fn (string|int $name): bool => count(array_unique(
            // What is there and has no value is not the same as what is not there.
            array_map(static fn (self $d): string => isset($d->is[$name]) ? ' '.$d->is[$name] : '', $some),
        )) > 1)));
    }

    /**
     * @param list<string> $names
     *
     * @return list<string> what it is in these
     */
    public function said(array $names): array
    {
        return array_map(fn (string $name): string => isset($this->is[$name]) ? trim($name.' '.$this->is[$name]) : 'without '.$name, $names);
    }
}
