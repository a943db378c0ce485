<?php

declare(strict_types=1);

namespace Lustrum\Decision;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Finding\FailureView;
use Lustrum\Record\Records;
use Lustrum\Revision\BuildSheets;
use Lustrum\Revision\Revision;
use Lustrum\Weighing\Dossier;
use Lustrum\Weighing\Dossiers;
use Lustrum\Weighing\MetricNames;

/** Works out the Next station. */
final readonly class NextSheets
{
    public function __construct(
        private Records $records,
        private Dossiers $dossiers,
        private BuildSheets $builds,
    ) {
    }

    public function of(Revision $revision): NextSheet
    {
        $dossier = $this->dossiers->open($revision->device());
        [$open, $settled] = $this->candidates($revision, $dossier);
        $chosen = array_values(array_filter($open, static fn (CandidateView $c): bool => $c->choice === Choice::In));
        $consequences = Weighed::together($chosen, $revision, $dossier);
        $decisions = array_map(static fn (Decision $d): DecisionView => $d->view(), $this->records->all(Decision::class, ['revision' => $revision]));

        return new NextSheet(
            self::sentence($revision, $open, $consequences, $decisions, $dossier),
            $revision->view(), $dossier->device->view(), $open, $settled, $decisions, $this->cameOf($decisions, $dossier), $consequences, self::nextLetter($dossier), MetricNames::of($dossier),
            array_map(static fn (FailureView $f): FailureChoice => new FailureChoice($f->id, $f->place === '' ? $f->mode : $f->mode.', '.$f->place), $dossier->failuresOf($revision)),
        );
    }

    /**
     * Candidates that are still to be decided on, of this build and what waits from its ancestors; and the settled ones.
     *
     * @return array{list<CandidateView>, list<CandidateView>}
     */
    public function candidates(Revision $revision, Dossier $dossier): array
    {
        $line = [$revision, ...$dossier->tree->ancestors($revision)];
        $open = $settled = [];
        foreach ($this->records->all(Candidate::class, ['revision' => $line]) as $candidate) {
            $view = $candidate->view();
            $view->decision === null ? $open[] = $view : $settled[] = $view;
        }

        return [$open, array_reverse($settled)];
    }

    /**
     * The loop closed: what was expected here against what the next build showed.
     *
     * @param list<DecisionView> $decisions
     *
     * @return list<CameOf>
     */
    private function cameOf(array $decisions, Dossier $dossier): array
    {
        $out = [];
        foreach ($decisions as $decision) {
            $next = $dossier->tree->revisions[$decision->next] ?? null;
            foreach ($next === null ? [] : $this->builds->changes($next, $dossier) as $row) {
                $out[] = new CameOf($row->change->what, $decision->nextLetter, $row->expected, $row->change->verdict ?? $row->computed, $row->change->verdictNote !== '' ? $row->change->verdictNote : $row->sentence);
            }
        }

        return $out;
    }

    private static function nextLetter(Dossier $dossier): string
    {
        $letters = array_map(static fn (Revision $r): string => $r->letter(), array_values($dossier->tree->revisions));
        $plain = array_values(array_filter($letters, static fn (string $l): bool => preg_match('/^[A-Z]{1,2}$/', $l) === 1));
        if ($plain === []) {
            return 'A';
        }
        usort($plain, static fn (string $a, string $b): int => strlen($a) <=> strlen($b) ?: strcmp($a, $b));
        $next = $plain[count($plain) - 1];
        ++$next;

        return (string) $next;
    }

    /**
     * @param list<CandidateView> $open
     * @param list<DecisionView>  $decisions
     */
    private static function sentence(Revision $revision, array $open, Consequences $c, array $decisions, Dossier $dossier): string
    {
        if ($open === []) {
            return $decisions !== []
                ? sprintf('Decided: build %s followed %s.', $decisions[count($decisions) - 1]->nextLetter, $revision->letter())
                : 'No candidates yet. Propose what the next build could change; sums, limits and overlaps appear as you choose.';
        }
        $undecided = count(array_filter($open, static fn (CandidateView $x): bool => $x->choice === Choice::Open));
        $currency = $dossier->device->view()->currency;
        $text = $c->chosen === 0
            ? sprintf('%d %s, none chosen yet', count($open), count($open) === 1 ? 'candidate' : 'candidates')
            : sprintf('%d of %d candidates go in: %s %s and %s h', $c->chosen, count($open), $c->cost, $currency, Digits::decimals($c->hours, 1));
        if ($c->over !== []) {
            $text .= ', over '.(count($c->over) === 1 ? 'one limit' : count($c->over).' limits');
        } elseif ($c->chosen > 0 && ($dossier->device->view()->costLimit !== null || $dossier->device->view()->hoursLimit !== null)) {
            $text .= ', within the limits';
        }
        if ($c->entangled !== []) {
            $text .= sprintf('; %s cannot be told apart', count($c->entangled) === 1 ? 'effects on one metric' : sprintf('effects on %d metrics', count($c->entangled)));
        }

        return $text.($undecided > 0 ? sprintf('. %d still to decide.', $undecided) : '. Every candidate has an answer: you can decide.');
    }
}
