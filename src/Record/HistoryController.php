<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Access;
use Lustrum\Account\Workspace;
use Lustrum\Http\Answers;
use Lustrum\Http\Problem;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class HistoryController
{
    private const MOST = 200;

    public function __construct(
        private EntityManagerInterface $em,
        private Security $security,
    ) {
    }

    /** Everything that was done to one record, newest first. */
    #[Route('/api/history/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[Answers(HistoryView::class, list: true)]
    public function ofRecord(Uuid $id): JsonResponse
    {
        $entries = $this->em->getRepository(HistoryEntry::class)->findBy(['record' => $id], ['id' => 'DESC'], self::MOST);
        $views = array_map(static fn (HistoryEntry $e): HistoryView => $e->view(), $entries);
        $workspace = $views === [] ? null : $this->em->find(Workspace::class, Uuid::fromString($views[0]->workspace));
        if ($workspace === null || !$this->security->isGranted(Access::Read->value, $workspace)) {
            throw Problem::notFound();
        }

        return new JsonResponse($views);
    }
}
