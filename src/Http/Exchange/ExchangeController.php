<?php

declare(strict_types=1);

namespace Lustrum\Http\Exchange;

use Lustrum\Account\CurrentUser;
use Lustrum\Account\Workspace;
use Lustrum\Action\Exchange\DeviceFile;
use Lustrum\Action\Exchange\Exporter;
use Lustrum\Action\Exchange\Importer;
use Lustrum\Action\Exchange\ImportView;
use Lustrum\Action\Exchange\ReadingsCsv;
use Lustrum\Core\Wording\Messages;
use Lustrum\Domain\Device\Device;
use Lustrum\Http\Answers;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Http\Problem;
use Lustrum\Record\History;
use Lustrum\Record\Records;
use Psr\Log\LoggerInterface;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class ExchangeController
{
    private const ID = ['id' => Requirement::UUID];

    /** One JSON text a line. */
    private const LINES = 'application/x-ndjson';

    public function __construct(
        private Records $records,
        private Exporter $exporter,
        private Importer $importer,
        private ReadingsCsv $csv,
        private History $history,
        private CurrentUser $user,
        private LoggerInterface $logger,
    ) {
    }

    /** A device, whole, as a JSON file. */
    #[Route('/api/devices/{id}/export.json', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(null)]
    public function json(Uuid $id): StreamedResponse
    {
        $device = $this->records->find(Device::class, $id);

        return $this->download($device, 'json', 'application/json', $this->exporter->pieces($device));
    }

    /** The readings of a device as CSV. */
    #[Route('/api/devices/{id}/readings.csv', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(null)]
    public function csv(Uuid $id): StreamedResponse
    {
        $device = $this->records->find(Device::class, $id);

        return $this->download($device, 'csv', 'text/csv; charset=utf-8', $this->csv->lines($device));
    }

    /** Brings in a device file; all of it, or nothing. Whoever takes lines of JSON is told how far it is. */
    #[Route('/api/workspaces/{id}/import', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::DeviceFile)]
    #[Answers(ImportView::class)]
    public function import(Uuid $id, Request $request): Response
    {
        $workspace = $this->records->workspace($id);
        $this->records->mustWrite($workspace);
        // A file that Lustrum wrote is read line by line; one that is laid out in another way is held as a whole.
        ini_set('memory_limit', '1G');
        self::mayTake(290);
        $file = DeviceFile::read($request->getContent(true), $this->importer->kinds());
        if (in_array(self::LINES, $request->getAcceptableContentTypes(), true)) {
            return $this->tellingHowFar($file, $workspace);
        }

        return new JsonResponse($this->importer->import($file, $workspace), 201);
    }

    private function tellingHowFar(DeviceFile $file, Workspace $workspace): StreamedResponse
    {
        return new StreamedResponse(function () use ($file, $workspace): void {
            $say = static function (array $line): void {
                echo json_encode($line, \JSON_THROW_ON_ERROR), "\n";
                flush();
            };
            try {
                $done = $this->importer->import($file, $workspace, static fn (int $taken, int $of) => $say([
                    'taken' => $taken, 'of' => $of, 'sentence' => Messages::say('frame.importing', ['taken' => $taken, 'n' => $of]),
                ]));
                $say(['done' => $done]);
            } catch (\Throwable $e) {
                $problem = Problem::thrown($e);
                if ($problem->status >= 500) {
                    $this->logger->error($e->getMessage(), ['exception' => $e]);
                }
                $say(['problem' => $problem->document()]);
            }
        }, 200, ['Content-Type' => self::LINES, 'X-Accel-Buffering' => 'no']);
    }

    /** @param iterable<string> $pieces */
    private function download(Device $device, string $ending, string $type, iterable $pieces): StreamedResponse
    {
        $this->history->happened(
            'export', $device->id(), $device->workspace(), $this->user->name(), ['name' => $device->name(), 'as' => $ending],
        );
        $this->records->manager()->flush();
        $name = trim((string) preg_replace('/[^\w-]+/u', '-', $device->name()), '-') ?: 'device';

        return new StreamedResponse(static function () use ($pieces): void {
            self::mayTake(110);
            foreach ($pieces as $piece) {
                echo $piece;
                flush();
            }
        }, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => HeaderUtils::makeDisposition('attachment', $name.'.'.$ending, 'device.'.$ending),
        ]);
    }

    /** Longer than other answers. On a command line, where many are given one after the other, nothing is limited. */
    private static function mayTake(int $seconds): void
    {
        if (\PHP_SAPI !== 'cli') {
            set_time_limit($seconds);
        }
    }
}
