<?php

declare(strict_types=1);

namespace Lustrum\Http;

use Lustrum\Shared\Refusal\TooOften;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Core\Exception\AuthenticationException;

/** Turns whatever went wrong into a problem document, the unforeseen too. */
final readonly class ProblemListener
{
    public function __construct(
        private LoggerInterface $logger,
    ) {
    }

    #[AsEventListener(priority: 0)]
    public function onException(ExceptionEvent $event): void
    {
        $error = $event->getThrowable();
        if ($error instanceof AccessDeniedException || $error instanceof AuthenticationException) {
            return;
        }
        $problem = Problem::thrown($error);
        if ($problem->status >= 500) {
            $this->logger->error($error->getMessage(), ['exception' => $error]);
        }
        $response = $problem->response();
        if ($error instanceof TooOften) {
            $response->headers->set('Retry-After', (string) $error->seconds);
        }
        $event->setResponse($response);
    }
}
