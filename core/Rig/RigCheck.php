<?php

declare(strict_types=1);

namespace Lustrum\Core\Rig;

use Lustrum\Core\Run\SettingRule;

/** Settings before a run: which of them stand, and which have lapsed. They lapse by events, never by dates. */
final readonly class RigCheck
{
    /** @param list<RigLine> $lines in the order of the method */
    private function __construct(
        public array $lines,
    ) {
    }

    /**
     * @param list<SettingRule>     $rules
     * @param array<string, string> $found      on this run, by name
     * @param list<Verified>        $verified   before this run, on its article
     * @param list<Happening>       $happenings to its article, before this run was begun or since
     */
    public static function of(array $rules, array $found, array $verified, array $happenings): self
    {
        $latest = [];
        foreach ($verified as $one) {
            $known = $latest[self::key($one->name)] ?? null;
            if ($known === null || $one->at >= $known->at) {
                $latest[self::key($one->name)] = $one;
            }
        }

        return new self(array_map(static function (SettingRule $rule) use ($found, $latest, $happenings): RigLine {
            $last = $latest[self::key($rule->name)] ?? null;
            $since = $last === null ? null : self::since($happenings, $last->at);
            $text = trim($found[$rule->name] ?? '');

            return new RigLine($rule, self::state($rule, $text, $last, $since), $text, $last, $since);
        }, $rules));
    }

    /** @return list<RigLine> that somebody has to look at */
    public function asked(): array
    {
        return array_values(array_filter($this->lines, static fn (RigLine $l): bool => $l->state->asks()));
    }

    /** @return list<RigLine> that stand from an earlier run */
    public function standing(): array
    {
        return $this->in(RigState::Stands);
    }

    /** @return list<RigLine> in this state */
    public function in(RigState $state): array
    {
        return array_values(array_filter($this->lines, static fn (RigLine $l): bool => $l->state === $state));
    }

    /** @return list<RigLine> not as they were meant, or not known to be any longer */
    public function mismatches(): array
    {
        return array_values(array_filter($this->lines, static fn (RigLine $l): bool => $l->state->isMismatch()));
    }

    private static function state(SettingRule $rule, string $text, ?Verified $last, ?Happening $since): RigState
    {
        return match (true) {
            mb_strtolower($text) === 'unknown' => RigState::NotKnown,
            $text !== '' => $rule->isMeant($text) ? RigState::AsMeant : RigState::Off,
            $last === null => RigState::Never,
            $since !== null => RigState::Lapsed,
            default => $rule->isMeant($last->text) ? RigState::Stands : RigState::StandsOff,
        };
    }

    /** @param list<Happening> $happenings */
    private static function since(array $happenings, string $at): ?Happening
    {
        $later = array_filter($happenings, static fn (Happening $h): bool => $h->at > $at);
        usort($later, static fn (Happening $a, Happening $b): int => $a->at <=> $b->at);

        return array_pop($later);
    }

    private static function key(string $name): string
    {
        return mb_strtolower(trim($name));
    }
}
