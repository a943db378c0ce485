<?php

declare(strict_types=1);

namespace Lustrum\Http\Try;

use Lustrum\Domain\Trial\Outing;
use Lustrum\Http\Answers;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Sheet\Outing\OutingPage;
use Lustrum\Sheet\Outing\OutingPages;
use Lustrum\Sheet\Outing\OutingsPage;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

/** Days out. */
final readonly class OutingController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private OutingPages $pages,
    ) {
    }

    /** The days out of a workspace, and what can be gathered. */
    #[Route('/api/workspaces/{id}/outings', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(OutingsPage::class)]
    public function ofWorkspace(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->pages->ofWorkspace($this->records->workspace($id)));
    }

    /** One day out: its order and what to take. */
    #[Route('/api/outings/{id}/page', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(OutingPage::class)]
    public function page(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->pages->of($this->records->find(Outing::class, $id)));
    }
}
