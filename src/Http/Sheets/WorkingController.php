<?php

declare(strict_types=1);

namespace Lustrum\Http\Sheets;

use Lustrum\Action\Work\HandingOver;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Working\HandOverInput;
use Lustrum\Domain\Working\KeptWorking;
use Lustrum\Domain\Working\WorkingView;
use Lustrum\Domain\Working\WorkInput;
use Lustrum\Http\Answer;
use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Cached;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Sheet\Workings\Bench;
use Lustrum\Sheet\Workings\WorkedSheet;
use Lustrum\Sheet\Workings\WorkingsSheet;
use Lustrum\Sheet\Workings\WorkingsSheets;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement as Pattern;
use Symfony\Component\Uid\Uuid;

final readonly class WorkingController
{
    private const ID = ['id' => Pattern::UUID];

    public function __construct(
        private Records $records,
    ) {
    }

    /** The sums of the bench, those that were kept on the device, and what can be taken from this build. */
    #[Route('/api/revisions/{id}/workings', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(WorkingsSheet::class)]
    public function sheet(Uuid $id, Request $request, Cached $cached, WorkingsSheets $sheets): Response
    {
        $build = $this->records->find(Revision::class, $id);

        return $cached->sheet($request, $build, static fn (): WorkingsSheet => $sheets->of($build));
    }

    /** Puts a kept answer where it is used. */
    #[Route('/api/workings/{id}/hand-over', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(WorkingView::class)]
    public function handOver(Uuid $id, #[Body] HandOverInput $input, HandingOver $handing): Response
    {
        $working = $this->records->find(KeptWorking::class, $id);
        $this->records->mustWrite($working->workspace());
        $written = $handing->give($working, $input);

        return Answer::of($working->view(), $written->stale);
    }

    /** A sum as it is typed, worked out; nothing of it is kept. */
    #[Route('/api/devices/{id}/work', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(WorkedSheet::class)]
    public function work(Uuid $id, #[Body] WorkInput $input): JsonResponse
    {
        $this->records->mustWrite($this->records->find(Device::class, $id)->workspace());

        return new JsonResponse(Bench::work($input));
    }
}
