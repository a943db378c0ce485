<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Core\Evidence\State;
use Lustrum\Core\Evidence\Texture;
use Lustrum\Device\Device;
use Lustrum\Device\Requirement;
use Lustrum\Device\RequirementView;
use Lustrum\Http\Answers;
use Lustrum\Http\Problem;
use Lustrum\Record\Records;
use Lustrum\Revision\Revision;
use Lustrum\Revision\RevisionView;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement as Pattern;
use Symfony\Component\Uid\Uuid;

final readonly class WeighingController
{
    private const MOST_RUNS = 500;

    public function __construct(
        private Records $records,
        private Dossiers $dossiers,
        private Explanations $explanations,
    ) {
    }

    /** The Weigh station: evidence of all builds, and this build against its parent, or another with ?against=. */
    #[Route('/api/revisions/{id}/weigh', requirements: ['id' => Pattern::UUID], methods: ['GET'])]
    #[Answers(WeighSheet::class)]
    public function weigh(Uuid $id, Request $request): JsonResponse
    {
        $revision = $this->records->find(Revision::class, $id);
        $dossier = $this->dossiers->open($revision->device());
        $against = $this->against($request, $revision) ?? $revision->parent();
        $cells = [];
        foreach ($dossier->tree->revisions as $other) {
            $cells = [...$cells, ...$dossier->evidenceOf($other)];
        }
        $comparisons = $against === null ? [] : $dossier->comparisons->all($revision->letter(), $dossier->runsOf($revision), $against->letter(), $dossier->runsOf($against));

        return new JsonResponse(new WeighSheet(
            self::sentence($revision, $dossier, array_values(array_filter($cells, static fn (EvidenceCell $c): bool => $c->revision === $id->toRfc4122())), $comparisons),
            $revision->view(), $against?->view(),
            array_map(static fn (Revision $r): RevisionView => $r->view(), array_values($dossier->tree->revisions)),
            array_map(static fn (Requirement $r): RequirementView => $r->view(), $dossier->requirements),
            $cells, $comparisons,
            OutcomeComparisons::all($revision->letter(), $dossier->runsOf($revision), $against?->letter() ?? '', $against === null ? [] : $dossier->runsOf($against), $revision->device()->confidence()),
            $revision->device()->confidence(),
        ));
    }

    /** How each method works, in words for a maker; the text of docs/guide/numbers.md. */
    #[Route('/api/explanations', methods: ['GET'])]
    #[Answers(Explanation::class, list: true)]
    public function explanations(): JsonResponse
    {
        return new JsonResponse($this->explanations->all());
    }

    /** The runs behind a number. */
    #[Route('/api/devices/{id}/runs', requirements: ['id' => Pattern::UUID], methods: ['GET'])]
    #[Answers(RunRow::class, list: true)]
    public function runs(Uuid $id, Request $request): JsonResponse
    {
        $device = $this->records->find(Device::class, $id);
        $asked = array_slice(explode(',', (string) $request->query->get('ids', '')), 0, self::MOST_RUNS);
        $rows = array_values(array_filter($this->dossiers->open($device)->runs, static fn (RunFact $r): bool => in_array($r->id, $asked, true)));

        return new JsonResponse(array_map(RunRow::of(...), $rows));
    }

    private function against(Request $request, Revision $revision): ?Revision
    {
        $id = $request->query->getString('against');
        if ($id === '') {
            return null;
        }
        $other = $this->records->named(Revision::class, $id, 'against');

        return $other->device()->id()->equals($revision->device()->id()) ? $other : throw Problem::violation('against', 'That build belongs to another device.');
    }

    /**
     * @param list<EvidenceCell>     $cells
     * @param list<MetricComparison> $comparisons
     */
    private static function sentence(Revision $revision, Dossier $dossier, array $cells, array $comparisons): string
    {
        if ($cells === []) {
            return 'There are no requirements yet. Once there are, this station says how far each build shows them.';
        }
        $count = static fn (Texture ...$t): int => count(array_filter($cells, static fn (EvidenceCell $c): bool => in_array($c->texture, $t, true)));
        $shown = $count(Texture::Solid);
        $against = count(array_filter($cells, static fn (EvidenceCell $c): bool => $c->state === State::Against));
        $parts = [sprintf('Build %s shows %d of %d requirements', $revision->letter(), $shown, count($cells))];
        $carried = $count(Texture::Dotted);
        if ($carried > 0) {
            $parts[] = sprintf('%d carried over', $carried);
        }
        if ($against > 0) {
            $parts[] = sprintf('%d %s against it', $against, $against === 1 ? 'stands' : 'stand');
        }
        $untried = $count(Texture::Outline);
        if ($untried > 0) {
            $parts[] = sprintf('%d not tried', $untried);
        }
        // What got worse is said first: it is what one would rather not see.
        $told = array_values(array_filter($comparisons, static fn (MetricComparison $c): bool => $c->judged !== ''));
        usort($told, static fn (MetricComparison $a, MetricComparison $b): int => ($b->judged === 'worse') <=> ($a->judged === 'worse'));

        return implode(', ', $parts).'. '.($told !== [] ? $told[0]->sentence : ($comparisons !== [] && $comparisons[0]->other !== null ? $comparisons[0]->sentence : ''));
    }
}
