<?php

declare(strict_types=1);

namespace Lustrum\Http\Find;

use Lustrum\Action\Find\Called;
use Lustrum\Action\Find\Calling;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Finding\CallingInput;
use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class CallingController
{
    public function __construct(
        private Records $records,
        private Calling $calling,
    ) {
    }

    /** Merges or splits modes of failures, or shows which failures that would touch. */
    #[Route('/api/devices/{id}/modes', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(Called::class)]
    public function call(Uuid $id, #[Body] CallingInput $input): JsonResponse
    {
        $device = $this->records->find(Device::class, $id);
        $this->records->mustWrite($device->workspace());

        return new JsonResponse($this->calling->call($device, $input));
    }
}
