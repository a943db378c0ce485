<?php

declare(strict_types=1);

namespace Lustrum\Http\Sheets;

use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Method\Method;
use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Cached;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Shared\LineInput;
use Lustrum\Sheet\Brief\Briefs;
use Lustrum\Sheet\Brief\BriefSheet;
use Lustrum\Sheet\Brief\WishView;
use Lustrum\Sheet\Devices\DeviceCard;
use Lustrum\Sheet\Devices\DeviceList;
use Lustrum\Sheet\Frame\Frames;
use Lustrum\Sheet\Frame\FrameView;
use Lustrum\Sheet\Methods\MethodSheet;
use Lustrum\Sheet\Methods\MethodSheets;
use Lustrum\Sheet\Methods\MethodsSheet;
use Lustrum\Sheet\Methods\MethodsSheets;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class DeviceSheetController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private Cached $cached,
        private DeviceList $devices,
        private Frames $frames,
        private Briefs $briefs,
        private MethodsSheets $methods,
        private MethodSheets $oneMethod,
    ) {
    }

    /** The devices of a workspace. */
    #[Route('/api/workspaces/{id}/devices', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(DeviceCard::class, list: true)]
    public function ofWorkspace(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->devices->of($this->records->workspace($id)));
    }

    /** Plate, spine and what waits. */
    #[Route('/api/devices/{id}/frame', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(FrameView::class)]
    public function frame(Uuid $id, Request $request): Response
    {
        $device = $this->records->find(Device::class, $id);

        return $this->cached->sheet($request, $device, fn (): FrameView => $this->frames->of($device));
    }

    /** The brief with the requirements. */
    #[Route('/api/devices/{id}/brief', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(BriefSheet::class)]
    public function brief(Uuid $id, Request $request): Response
    {
        $device = $this->records->find(Device::class, $id);

        return $this->cached->sheet($request, $device, fn (): BriefSheet => $this->briefs->of($device));
    }

    /** How a sentence is read as a requirement; nothing is kept of it. */
    #[Route('/api/devices/{id}/wish', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(WishView::class)]
    public function wish(Uuid $id, #[Body] LineInput $input): JsonResponse
    {
        $device = $this->records->find(Device::class, $id);
        $this->records->mustWrite($device->workspace());

        return new JsonResponse($this->briefs->wish($device, $input->text));
    }

    /** One method, read as an instruction. */
    #[Route('/api/methods/{id}/sheet', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(MethodSheet::class)]
    public function method(Uuid $id, Request $request): Response
    {
        $method = $this->records->find(Method::class, $id);

        return $this->cached->sheet($request, $method, fn (): MethodSheet => $this->oneMethod->of($method));
    }

    /** The methods of a device, those of the others, and the instruments of the team. */
    #[Route('/api/devices/{id}/methods', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(MethodsSheet::class)]
    public function methods(Uuid $id, Request $request): Response
    {
        $device = $this->records->find(Device::class, $id);

        return $this->cached->sheet($request, $device, fn (): MethodsSheet => $this->methods->of($device));
    }
}
