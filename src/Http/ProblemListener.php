<?php

declare(strict_types=1);

namespace Lustrum\Http;

use Lustrum\Core\CoreException;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Validator\ConstraintViolationInterface;
use Symfony\Component\Validator\Exception\ValidationFailedException;

/** Turns whatever went wrong under /api into a problem document. */
final readonly class ProblemListener
{
    #[AsEventListener(priority: 0)]
    public function onException(ExceptionEvent $event): void
    {
        $error = $event->getThrowable();
        if (!str_starts_with($event->getRequest()->getPathInfo(), '/api') || $error instanceof AccessDeniedException || $error instanceof AuthenticationException) {
            return;
        }
        $problem = $this->problem($error);
        if ($problem === null) {
            return;
        }
        $event->setResponse(new JsonResponse($problem->document(), $problem->status, ['Content-Type' => 'application/problem+json']));
    }

    private function problem(\Throwable $error): ?Problem
    {
        for ($cause = $error; $cause !== null; $cause = $cause->getPrevious()) {
            if ($cause instanceof Problem) {
                return $cause;
            }
            if ($cause instanceof ValidationFailedException) {
                $violations = [];
                foreach ($cause->getViolations() as $violation) {
                    $violations[] = ['path' => $violation->getPropertyPath(), 'message' => self::words($violation)];
                }

                return $violations === [] ? null : Problem::violations($violations);
            }
            if ($cause instanceof CoreException) {
                return Problem::violation($cause->path, $cause->getMessage());
            }
        }
        if ($error instanceof HttpExceptionInterface) {
            $status = $error->getStatusCode();

            return Problem::of($status, 'http-'.$status, match ($status) {
                404 => 'There is nothing at this address, or it is not yours to see.',
                405 => 'This address does not take that kind of request.',
                400, 415, 422 => 'The request could not be read. Nothing was saved.',
                default => $status >= 500 ? 'Something broke on our side. Nothing was stored by halves.' : 'This is not possible here.',
            });
        }

        return null;
    }

    /** The validator's words for a wrong type are for programmers. */
    private static function words(ConstraintViolationInterface $violation): string
    {
        $message = (string) $violation->getMessage();
        if (preg_match('/should be of type (.+?)\.?$/', $message, $m) !== 1) {
            return $message;
        }

        return match (true) {
            str_contains($m[1], 'float') || str_contains($m[1], 'int') => 'A number is wanted here.',
            str_contains($m[1], 'bool') => 'Yes or no is wanted here.',
            str_contains($m[1], 'array') || str_contains($m[1], 'list') => 'A list is wanted here.',
            $m[1] === 'string' || str_contains($m[1], 'string|') => 'A text is wanted here.',
            default => 'One of the given choices is wanted here.',
        };
    }
}
