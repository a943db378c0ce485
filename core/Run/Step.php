<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What an article was like between two changes on it. */
final readonly class Step
{
    /**
     * @param list<Deviation> $all from its build
     * @param list<Deviation> $new since the step before
     * @param list<int>       $runs places of the runs made so, among all of them
     */
    public function __construct(
        public array $all,
        public array $new,
        public array $runs,
    ) {
    }

    /**
     * Step by step, in the order in which runs were made; before the first change there is none. What was changed and changed back
     * is the step that it was before.
     *
     * @param list<list<Deviation>> $made what each run had otherwise than its build, of its design, in their order
     * @param list<Deviation>       $now  what the article has otherwise
     *
     * @return list<self>
     */
    public static function all(array $made, array $now): array
    {
        $steps = [];
        $before = [];
        foreach ([...$made, $now] as $i => $all) {
            $key = self::key($all);
            if ($all !== []) {
                $new = array_values(array_filter($all, static fn (Deviation $d): bool => !$d->isAmong($before)));
                $steps[$key] ??= ['all' => $all, 'new' => $new, 'runs' => []];
                if ($i < count($made)) {
                    $steps[$key]['runs'][] = $i;
                }
            }
            $before = $all;
        }

        return array_values(array_map(static fn (array $s): self => new self($s['all'], $s['new'], $s['runs']), $steps));
    }

    /**
     * Does it still have each of these, of whatever value? What was taken back since is no later step of the same build.
     *
     * @param list<Deviation> $some
     */
    public function has(array $some): bool
    {
        $names = array_map(static fn (Deviation $d): string => $d->kind->value."\x1f".$d->name, $this->all);
        $asked = array_map(static fn (Deviation $d): string => $d->kind->value."\x1f".$d->name, $some);

        return array_diff($asked, $names) === [];
    }

    /** @param list<Deviation> $all */
    private static function key(array $all): string
    {
        $names = array_map(static fn (Deviation $d): string => implode("\x1f", [$d->kind->value, $d->name, $d->value]), $all);
        sort($names);

        return implode("\x1e", $names);
    }
}
