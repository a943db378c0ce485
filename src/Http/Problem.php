<?php

declare(strict_types=1);

namespace Lustrum\Http;

use Doctrine\DBAL\Driver\Exception as DriverException;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Lustrum\Core\CoreException;
use Lustrum\Shared\Refusal\AsksBack;
use Lustrum\Shared\Refusal\ChangedMeanwhile;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\NoSpace;
use Lustrum\Shared\Refusal\NotAllowed;
use Lustrum\Shared\Refusal\NotThere;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Shared\Refusal\Settled;
use Lustrum\Shared\Refusal\Taken;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Shared\Refusal\TooOften;
use Lustrum\Shared\Refusal\Unreadable;
use Lustrum\Shared\Refusal\WrongKind;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** An answer that is not the one hoped for, as an RFC 9457 problem document with a sentence for people. */
final readonly class Problem
{
    /** What each refusal becomes outside: status and kind. */
    private const REFUSALS = [
        NotThere::class => [404, 'not-found'],
        NotAllowed::class => [403, 'forbidden'],
        Invalid::class => [422, 'invalid'],
        Unreadable::class => [400, 'not-json'],
        WrongKind::class => [415, 'wrong-kind'],
        TooLarge::class => [413, 'too-large'],
        Taken::class => [409, 'exists'],
        Settled::class => [409, 'settled'],
        ChangedMeanwhile::class => [409, 'conflict'],
        AsksBack::class => [422, 'asks-back'],
        TooOften::class => [429, 'throttled'],
        NoSpace::class => [507, 'no-space'],
    ];

    private const TITLES = [
        400 => 'Not understood', 401 => 'Not signed in', 403 => 'Not allowed', 404 => 'Not found', 405 => 'Not possible here',
        409 => 'Changed meanwhile', 413 => 'Too large', 415 => 'Wrong kind of file', 422 => 'Needs another look', 429 => 'Too often', 507 => 'No space left',
    ];

    private const BROKEN = 'Something broke on our side. Nothing was stored by halves.';

    /** @param array<string, mixed> $extra */
    private function __construct(
        public int $status,
        public string $kind,
        public string $detail,
        public array $extra = [],
    ) {
    }

    public static function of(int $status, string $kind, string $detail): self
    {
        return new self($status, $kind, $detail);
    }

    public static function refused(Refusal $refusal): self
    {
        [$status, $kind] = self::REFUSALS[$refusal::class] ?? [422, 'refused'];

        return new self($status, $kind, $refusal->getMessage(), match (true) {
            $refusal instanceof ChangedMeanwhile => ['theirs' => $refusal->theirs],
            $refusal instanceof AsksBack => ['questions' => $refusal->questions],
            $refusal->violations !== [] => ['violations' => $refusal->violations],
            default => [],
        });
    }

    /** Of whatever was thrown, the unforeseen too. */
    public static function thrown(\Throwable $error): self
    {
        for ($cause = $error; $cause !== null; $cause = $cause->getPrevious()) {
            if ($cause instanceof Refusal) {
                return self::refused($cause);
            }
            if ($cause instanceof CoreException) {
                return self::refused(Invalid::at($cause->path, $cause->getMessage()));
            }
            if (self::isFullDisk($cause)) {
                return self::refused(NoSpace::onDisk());
            }
            if ($cause instanceof UniqueConstraintViolationException) {
                return self::refused(Taken::name());
            }
        }
        if ($error instanceof HttpExceptionInterface) {
            $status = $error->getStatusCode();

            return self::of($status, 'http-'.$status, match (true) {
                $status === 404 => 'There is nothing at this address, or it is not yours to see.',
                $status === 405 => 'This address does not take that kind of request.',
                $status >= 500 => self::BROKEN,
                default => 'The request could not be read. Nothing was saved.',
            });
        }

        return self::of(500, 'broken', self::BROKEN);
    }

    /** Said by the database (SQLSTATE 53100), the store of files, or the system (ENOSPC, EDQUOT). */
    private static function isFullDisk(\Throwable $cause): bool
    {
        return ($cause instanceof DriverException && $cause->getSQLState() === '53100')
            || preg_match('/No space left on device|Disk quota exceeded/i', $cause->getMessage()) === 1;
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        $title = self::TITLES[$this->status] ?? ($this->status >= 500 ? 'Something broke here' : 'Not possible');
        $document = ['type' => 'urn:lustrum:problem:'.$this->kind, 'title' => $title, 'status' => $this->status, 'detail' => $this->detail];

        return $document + $this->extra;
    }

    public function response(): JsonResponse
    {
        return new JsonResponse($this->document(), $this->status, ['Content-Type' => 'application/problem+json']);
    }
}
