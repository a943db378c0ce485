<?php

declare(strict_types=1);

namespace Lustrum\Method;

use Lustrum\Device\Device;
use Lustrum\Http\Answers;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class MethodController
{
    public function __construct(
        private Records $records,
        private RecordWriter $writer,
    ) {
    }

    /** The methods of a device. */
    #[Route('/api/devices/{id}/methods', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[Answers(MethodView::class, list: true)]
    public function ofDevice(Uuid $id): JsonResponse
    {
        $methods = $this->records->all(Method::class, ['device' => $this->records->find(Device::class, $id)]);

        return new JsonResponse(array_map(static fn (Method $m): MethodView => $m->view(), $methods));
    }

    #[Route('/api/methods/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[Answers(MethodView::class)]
    public function put(Uuid $id, #[MapRequestPayload] MethodInput $input): JsonResponse
    {
        return $this->writer->put(Method::class, $id, $input);
    }
}
