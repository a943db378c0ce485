<?php

declare(strict_types=1);

namespace Lustrum\Device;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Http\Answers;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\WithdrawInput;
use Lustrum\Weighing\Dossier;
use Lustrum\Weighing\Dossiers;
use Lustrum\Weighing\MetricNames;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement as Pattern;
use Symfony\Component\Uid\Uuid;

final readonly class DeviceController
{
    private const ID = ['id' => Pattern::UUID];

    public function __construct(
        private Records $records,
        private RecordWriter $writer,
        private Frames $frames,
        private Dossiers $dossiers,
        private Connection $db,
    ) {
    }

    /** The devices of a workspace. */
    #[Route('/api/workspaces/{id}/devices', requirements: self::ID, methods: ['GET'])]
    #[Answers(DeviceCard::class, list: true)]
    public function ofWorkspace(Uuid $id): JsonResponse
    {
        $cards = [];
        foreach ($this->records->all(Device::class, ['workspace' => $this->records->workspace($id)]) as $device) {
            $row = $this->db->fetchAssociative(
                'SELECT count(*) revisions, (SELECT count(*) FROM run r JOIN trial t ON t.id = r.trial_id JOIN revision v ON v.id = t.revision_id WHERE v.device_id = :d) runs,
                        (SELECT id FROM revision WHERE device_id = :d AND withdrawn_because IS NULL ORDER BY id DESC LIMIT 1) latest,
                        (SELECT letter FROM revision WHERE device_id = :d AND withdrawn_because IS NULL ORDER BY id DESC LIMIT 1) letter
                 FROM revision WHERE device_id = :d AND withdrawn_because IS NULL', ['d' => $device->id()->toRfc4122()]) ?: [];
            $count = static fn (string $key): int => is_numeric($row[$key] ?? null) ? (int) $row[$key] : 0;
            $text = static fn (string $key): ?string => is_string($row[$key] ?? null) ? $row[$key] : null;
            $sentence = $count('revisions') === 0 ? 'Nothing built yet.' : sprintf('%d %s, %d %s; build %s is the newest.', $count('revisions'), $count('revisions') === 1 ? 'build' : 'builds', $count('runs'), $count('runs') === 1 ? 'run' : 'runs', $text('letter'));
            $cards[] = new DeviceCard($device->view(), $text('latest'), $text('letter'), $count('revisions'), $count('runs'), $sentence);
        }

        return new JsonResponse($cards);
    }

    /** Plate, spine and what waits. */
    #[Route('/api/devices/{id}/frame', requirements: self::ID, methods: ['GET'])]
    #[Answers(FrameView::class)]
    public function frame(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->frames->of($this->records->find(Device::class, $id)));
    }

    /** The brief with the requirements. */
    #[Route('/api/devices/{id}/brief', requirements: self::ID, methods: ['GET'])]
    #[Answers(BriefSheet::class)]
    public function brief(Uuid $id): JsonResponse
    {
        $device = $this->records->find(Device::class, $id);
        $dossier = $this->dossiers->open($device);

        return new JsonResponse(new BriefSheet(self::sentence($dossier), $device->view(), array_map(static fn (Requirement $r): RequirementView => $r->view(), $dossier->requirements), MetricNames::of($dossier)));
    }

    #[Route('/api/devices/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(DeviceView::class)]
    public function putDevice(Uuid $id, #[MapRequestPayload] DeviceInput $input): JsonResponse
    {
        return $this->writer->put(Device::class, $id, $input);
    }

    #[Route('/api/requirements/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(RequirementView::class)]
    public function putRequirement(Uuid $id, #[MapRequestPayload] RequirementInput $input): JsonResponse
    {
        return $this->writer->put(Requirement::class, $id, $input);
    }

    #[Route('/api/requirements/{id}/withdraw', requirements: self::ID, methods: ['POST'])]
    #[Answers(RequirementView::class)]
    public function withdrawRequirement(Uuid $id, #[MapRequestPayload] WithdrawInput $input): JsonResponse
    {
        return $this->writer->withdraw(Requirement::class, $id, $input->because);
    }

    private static function sentence(Dossier $dossier): string
    {
        if ($dossier->requirements === []) {
            return 'There are no requirements yet. Write the first one, and every run will be weighed against it.';
        }
        $measurable = [];
        foreach ($dossier->methods as $method) {
            $measurable[] = $method->view()->outcomeMetric;
            foreach ($method->channels() as $channel) {
                $measurable[] = $channel->metric;
            }
        }
        $unmeasured = array_values(array_filter($dossier->requirements, static fn (Requirement $r): bool => !in_array($r->metric(), $measurable, true)));
        $musts = count(array_filter($dossier->requirements, static fn (Requirement $r): bool => $r->view()->must));
        $every = count(array_filter($dossier->requirements, static fn (Requirement $r): bool => $r->kind() === Kind::Every));

        return sprintf('%d requirements, %d of them musts', count($dossier->requirements), $musts)
            .($every > 0 ? sprintf('; %d %s of every unit, which takes more runs than a mean', $every, $every === 1 ? 'speaks' : 'speak') : '')
            .($unmeasured === [] ? '. Each has a method that measures it.' : sprintf('. No method measures %s yet.', implode(' or ', array_map(static fn (Requirement $r): string => $r->metric(), array_slice($unmeasured, 0, 3)))));
    }
}
