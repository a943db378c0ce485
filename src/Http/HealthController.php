<?php

declare(strict_types=1);

namespace Lustrum\Http;

use Doctrine\DBAL\Connection;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Who;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

final readonly class HealthController
{
    /** Does the application answer, and its database? */
    #[Route('/api/health', methods: ['GET'])]
    #[Needs(Who::Anyone)]
    #[Answers(null)]
    public function health(Connection $db): JsonResponse
    {
        $db->executeQuery('SELECT 1');

        return new JsonResponse(['ok' => true]);
    }
}
