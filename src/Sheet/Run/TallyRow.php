<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Core\Curve\Tally;
use Lustrum\Core\Curve\Touch;
use Lustrum\Core\Wording\CourseWords;
use Lustrum\Domain\Finding\ObservationView;

/** What was marked again and again on a run, counted; each of its numbers can be kept as a reading. */
final readonly class TallyRow
{
    /** Marked once and without length, it is an observation like any other. */
    private const LEAST = 2;

    /**
     * @param list<string>      $marks   identifiers of its observations
     * @param list<TallyResult> $results
     * @param string            $origin  of a reading that is taken from it
     */
    private function __construct(
        public string $name,
        public string $sentence,
        public array $marks,
        public array $results,
        public string $origin,
    ) {
    }

    /**
     * @param list<ObservationView> $seen
     * @param float|null            $lasted s that the run took; null: it goes on
     *
     * @return list<self> as they were first marked
     */
    public static function all(array $seen, ?float $lasted): array
    {
        $marks = $names = [];
        foreach ($seen as $o) {
            if ($o->after !== null && !$o->odd) {
                $key = mb_strtolower($o->text);
                $names[$key] ??= $o->text;
                $marks[$key][] = $o;
            }
        }
        $out = [];
        foreach ($marks as $key => $own) {
            if (count($own) >= self::LEAST || $own[0]->until !== null) {
                $out[] = self::of($names[$key], $own, $lasted);
            }
        }

        return $out;
    }

    /** @param non-empty-list<ObservationView> $marks */
    private static function of(string $name, array $marks, ?float $lasted): self
    {
        $tally = Tally::of(array_map(static fn (ObservationView $o): Touch => new Touch($o->after ?? 0.0, $o->until), $marks), $lasted);
        $results = [new TallyResult(CourseWords::COUNT, (string) $tally->count, ['1'])];
        if ($tally->held !== null) {
            $results[] = new TallyResult(CourseWords::HELD, CourseWords::seconds($tally->held), ['s', 'min', 'h']);
        }
        if ($tally->share !== null) {
            $results[] = new TallyResult(CourseWords::SHARE, CourseWords::share($tally->share), ['%', '1']);
        }
        if ($tally->every !== null) {
            $results[] = new TallyResult(CourseWords::EVERY, CourseWords::seconds($tally->every), ['s', 'min', 'h']);
        }

        return new self(
            $name, CourseWords::tally($name, $tally, $lasted === null),
            array_map(static fn (ObservationView $o): string => $o->id, $marks), $results,
            CourseWords::tallyOrigin($name),
        );
    }
}
