<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Core\Wording\WorkshopWords;
use Lustrum\Domain\Decision\Alteration;
use Lustrum\Domain\Decision\Candidate;
use Lustrum\Domain\Decision\Choice;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\Records;

/** What of a build does not stand by itself: parts that are there for now only, and fits that others rely on. */
final readonly class Standing
{
    public function __construct(
        private Records $records,
    ) {
    }

    /** @return list<Part> that are there for now only */
    public function forNow(Revision $revision): array
    {
        return array_values(array_filter(
            $this->records->all(Part::class, ['revision' => $revision]), static fn (Part $p): bool => !$p->stays(),
        ));
    }

    /** What whoever reads a result of this build should know; empty: nothing. */
    public function rests(Revision $revision): string
    {
        return WorkshopWords::forNow($revision->letter(), array_map(static fn (Part $p): string => $p->name(), $this->forNow($revision)));
    }

    /**
     * Fits that others rely on and that are not as on the parent.
     *
     * @param list<ParameterRow>   $parameterRows
     * @param list<PartRow>        $partRows
     *
     * @return list<string>
     */
    public static function changed(array $parameterRows, array $partRows): array
    {
        $out = [];
        foreach ($parameterRows as $row) {
            if ($row->here !== null && $row->here->reliedOn !== '' && $row->mark === 'changed') {
                $out[] = WorkshopWords::relied($row->name, $row->here->reliedOn, $row->here->checkedBy);
            }
        }
        foreach ($partRows as $row) {
            if ($row->part->reliedOn !== '' && in_array($row->mark, ['changed', 'gone'], true)) {
                $out[] = WorkshopWords::relied($row->part->name, $row->part->reliedOn, $row->mark === 'gone' ? '' : $row->part->checkedBy);
            }
        }

        return $out;
    }

    /**
     * What is to go in and touches a fit that others rely on.
     *
     * @param list<Candidate> $open
     *
     * @return list<string>
     */
    public function wouldTouch(Revision $revision, array $open): array
    {
        $chosen = array_filter($open, static fn (Candidate $c): bool => $c->choice() === Choice::In && $c->view()->alters !== []);
        $relied = $chosen === [] ? [] : $this->relied($revision);
        $out = [];
        foreach ($chosen as $candidate) {
            foreach ($candidate->view()->alters as $alteration) {
                $by = $relied[self::key($alteration)] ?? null;
                if ($by !== null) {
                    $out[] = WorkshopWords::wouldTouch($candidate->what(), trim($alteration->name), $by);
                }
            }
        }

        return $out;
    }

    /** @return array<string, string> by whom, by the kind and name of what they rely on */
    private function relied(Revision $revision): array
    {
        $out = [];
        foreach ($this->records->all(Parameter::class, ['revision' => $revision]) as $parameter) {
            $out['parameter:'.mb_strtolower($parameter->name())] = $parameter->view()->reliedOn;
        }
        foreach ($this->records->all(Part::class, ['revision' => $revision]) as $part) {
            $out['part:'.mb_strtolower($part->name())] = $part->view()->reliedOn;
        }

        return array_filter($out, static fn (string $by): bool => $by !== '');
    }

    private static function key(Alteration $alteration): string
    {
        return mb_strtolower($alteration->kind->of($alteration->name));
    }
}
