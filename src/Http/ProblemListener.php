<?php

declare(strict_types=1);

namespace Lustrum\Http;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Lustrum\Core\CoreException;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Shared\Refusal\Taken;
use Lustrum\Shared\Refusal\TooOften;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Core\Exception\AuthenticationException;

/** Turns whatever went wrong under /api into a problem document, the unforeseen too. */
final readonly class ProblemListener
{
    private const BROKEN = 'Something broke on our side. Nothing was stored by halves.';

    public function __construct(
        private LoggerInterface $logger,
    ) {
    }

    #[AsEventListener(priority: 0)]
    public function onException(ExceptionEvent $event): void
    {
        $error = $event->getThrowable();
        if (!str_starts_with($event->getRequest()->getPathInfo(), '/api') || $error instanceof AccessDeniedException || $error instanceof AuthenticationException) {
            return;
        }
        $problem = $this->problem($error);
        if ($problem->status >= 500) {
            $this->logger->error($error->getMessage(), ['exception' => $error]);
        }
        $response = $problem->response();
        if ($error instanceof TooOften) {
            $response->headers->set('Retry-After', (string) $error->seconds);
        }
        $event->setResponse($response);
    }

    private function problem(\Throwable $error): Problem
    {
        for ($cause = $error; $cause !== null; $cause = $cause->getPrevious()) {
            if ($cause instanceof Refusal) {
                return Problem::refused($cause);
            }
            if ($cause instanceof CoreException) {
                return Problem::refused(Invalid::at($cause->path, $cause->getMessage()));
            }
            if ($cause instanceof UniqueConstraintViolationException) {
                return Problem::refused(Taken::name());
            }
        }
        if ($error instanceof HttpExceptionInterface) {
            $status = $error->getStatusCode();

            return Problem::of($status, 'http-'.$status, match (true) {
                $status === 404 => 'There is nothing at this address, or it is not yours to see.',
                $status === 405 => 'This address does not take that kind of request.',
                $status >= 500 => self::BROKEN,
                default => 'The request could not be read. Nothing was saved.',
            });
        }

        return Problem::of(500, 'broken', self::BROKEN);
    }
}
