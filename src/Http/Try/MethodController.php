<?php

declare(strict_types=1);

namespace Lustrum\Http\Try;

use Lustrum\Action\Method\UsingHere;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Method\MethodView;
use Lustrum\Domain\Method\UseHereInput;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\PlanInput;
use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Sheet\Try\PlanPreview;
use Lustrum\Sheet\Try\PlanPreviews;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

/** What is done with methods as a whole. */
final readonly class MethodController
{
    public function __construct(
        private Records $records,
        private UsingHere $using,
        private PlanPreviews $plans,
    ) {
    }

    /** What a plan would take, find and cost; nothing is kept of it. */
    #[Route('/api/methods/{id}/plan', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(PlanPreview::class)]
    public function plan(Uuid $id, #[Body] PlanInput $input): JsonResponse
    {
        $method = $this->records->find(Method::class, $id);
        $this->records->mustWrite($method->workspace());
        $build = $this->records->named(Revision::class, $input->revision, 'revision');

        return new JsonResponse($this->plans->of($method, $build, $input->layout));
    }

    /** Uses a method of another device here: copies it. */
    #[Route('/api/devices/{id}/methods', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(MethodView::class)]
    public function useHere(Uuid $id, #[Body] UseHereInput $input): JsonResponse
    {
        $device = $this->records->find(Device::class, $id);
        $this->records->mustWrite($device->workspace());

        return new JsonResponse($this->using->copy($device, Uuid::fromString($input->id), $input->method));
    }
}
