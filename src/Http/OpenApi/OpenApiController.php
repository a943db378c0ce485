<?php

declare(strict_types=1);

namespace Lustrum\Http\OpenApi;

use Lustrum\Http\Answers;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Who;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\Routing\Attribute\Route;

final readonly class OpenApiController
{
    public function __construct(
        #[Autowire('%kernel.project_dir%/docs/openapi.json')]
        private string $file,
    ) {
    }

    /** This description. */
    #[Route('/api/docs', methods: ['GET'])]
    #[Needs(Who::Anyone)]
    #[Answers(null)]
    public function docs(): BinaryFileResponse
    {
        return new BinaryFileResponse($this->file, 200, ['Content-Type' => 'application/json']);
    }
}
