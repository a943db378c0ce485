<?php

declare(strict_types=1);

namespace Lustrum\Http;

/** An answer that is not the one hoped for, as an RFC 9457 problem document with a sentence for people. */
final class Problem extends \RuntimeException
{
    /**
     * @param list<array{path: string, message: string}> $violations
     * @param array<string, mixed>                       $extra
     */
    private function __construct(
        public readonly int $status,
        public readonly string $kind,
        string $detail,
        public readonly array $violations = [],
        public readonly array $extra = [],
        ?\Throwable $previous = null,
    ) {
        parent::__construct($detail, 0, $previous);
    }

    public static function of(int $status, string $kind, string $detail): self
    {
        return new self($status, $kind, $detail);
    }

    public static function notFound(): self
    {
        return new self(404, 'not-found', 'There is nothing at this address, or it is not yours to see.');
    }

    public static function forbidden(string $detail): self
    {
        return new self(403, 'forbidden', $detail);
    }

    public static function violation(string $path, string $message): self
    {
        return self::violations([['path' => $path, 'message' => $message]]);
    }

    /** @param non-empty-list<array{path: string, message: string}> $violations */
    public static function violations(array $violations): self
    {
        return new self(422, 'invalid', count($violations) === 1 ? $violations[0]['message'] : sprintf('%d things need another look. Nothing was saved.', count($violations)), $violations);
    }

    /** Somebody else changed it meanwhile: both versions are kept, theirs in the answer. */
    public static function conflict(object $theirs): self
    {
        return new self(409, 'conflict', 'Somebody else changed this while you were editing. Your text is still here; look at theirs and save again.', [], ['theirs' => $theirs]);
    }

    public static function conflictOf(string $detail, ?\Throwable $previous = null): self
    {
        return new self(409, 'exists', $detail, [], [], $previous);
    }

    /**
     * A reading that wants a second look before it is kept.
     *
     * @param list<object> $questions
     */
    public static function asksBack(string $detail, array $questions): self
    {
        return new self(422, 'asks-back', $detail, [], ['questions' => $questions]);
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return ['type' => 'urn:lustrum:problem:'.$this->kind, 'title' => self::title($this->status), 'status' => $this->status, 'detail' => $this->getMessage()]
            + ($this->violations === [] ? [] : ['violations' => $this->violations]) + $this->extra;
    }

    private static function title(int $status): string
    {
        return match ($status) {
            400 => 'Not understood', 401 => 'Not signed in', 403 => 'Not allowed', 404 => 'Not found', 405 => 'Not possible here', 409 => 'Changed meanwhile',
            413 => 'Too large', 415 => 'Wrong kind of file', 422 => 'Needs another look', 429 => 'Too often', default => $status >= 500 ? 'Something broke here' : 'Not possible',
        };
    }
}
