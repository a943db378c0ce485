<?php

declare(strict_types=1);

namespace Lustrum\Http\Health;

use Doctrine\DBAL\Connection;
use Lustrum\Http\Answers;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Who;
use Lustrum\Storage\DiskSpace;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

final readonly class HealthController
{
    /** Does the application answer, and its database, and is there space on the disk? */
    #[Route('/api/health', methods: ['GET'])]
    #[Needs(Who::Anyone)]
    #[Answers(HealthView::class)]
    public function health(Connection $db, DiskSpace $disk): JsonResponse
    {
        $db->executeQuery('SELECT 1');

        return new JsonResponse(new HealthView(true, $disk->left()));
    }
}
