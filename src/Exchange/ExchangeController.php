<?php

declare(strict_types=1);

namespace Lustrum\Exchange;

use Lustrum\Account\Access;
use Lustrum\Account\User;
use Lustrum\Device\Device;
use Lustrum\Http\Answers;
use Lustrum\Http\Problem;
use Lustrum\Record\Records;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class ExchangeController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private Exporter $exporter,
        private Importer $importer,
        private ReadingsCsv $csv,
        private Security $security,
    ) {
    }

    /** A device, whole, as a JSON file. */
    #[Route('/api/devices/{id}/export.json', requirements: self::ID, methods: ['GET'])]
    #[Answers(null)]
    public function json(Uuid $id): StreamedResponse
    {
        $device = $this->records->find(Device::class, $id);
        ini_set('memory_limit', '512M');

        return self::download($device, 'json', 'application/json', $this->exporter->pieces($device));
    }

    /** The readings of a device as CSV. */
    #[Route('/api/devices/{id}/readings.csv', requirements: self::ID, methods: ['GET'])]
    #[Answers(null)]
    public function csv(Uuid $id): StreamedResponse
    {
        $device = $this->records->find(Device::class, $id);

        return self::download($device, 'csv', 'text/csv; charset=utf-8', $this->csv->lines($device));
    }

    /** Brings in a device file; all of it, or nothing. */
    #[Route('/api/workspaces/{id}/import', requirements: self::ID, methods: ['POST'])]
    #[Answers(ImportView::class)]
    public function import(Uuid $id, Request $request): JsonResponse
    {
        $workspace = $this->records->workspace($id);
        if (!$this->security->isGranted(Access::Write->value, $workspace)) {
            throw Problem::forbidden('You may look at this workspace, but not bring anything in. A lead can make you a member.');
        }
        ini_set('memory_limit', '1G');
        set_time_limit(110);
        $file = json_decode($request->getContent(), true, 64);
        if (!is_array($file)) {
            throw Problem::of(400, 'not-json', 'This file is not whole: it ends in the middle, or is not JSON. Nothing was stored.');
        }
        $user = $this->security->getUser();

        return new JsonResponse($this->importer->import($file, $workspace, $user instanceof User ? $user : null), 201);
    }

    /** @param iterable<string> $pieces */
    private static function download(Device $device, string $ending, string $type, iterable $pieces): StreamedResponse
    {
        $name = trim((string) preg_replace('/[^\w-]+/u', '-', $device->name()), '-') ?: 'device';

        return new StreamedResponse(static function () use ($pieces): void {
            foreach ($pieces as $piece) {
                echo $piece;
            }
        }, 200, ['Content-Type' => $type, 'Content-Disposition' => HeaderUtils::makeDisposition('attachment', $name.'.'.$ending, 'device.'.$ending)]);
    }
}
