<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Lustrum\Shared\Refusal\Invalid;

/** Where a list goes on: behind the last entry that was seen. */
final readonly class Page
{
    public const SIZE = 40;

    private function __construct(
        public ?string $at,
        public ?string $id,
    ) {
    }

    /** @throws Invalid when it is no cursor of ours */
    public static function after(string $cursor): self
    {
        if ($cursor === '') {
            return new self(null, null);
        }
        $text = base64_decode(strtr($cursor, '-_', '+/'), true);
        [$at, $id] = array_pad(explode('|', is_string($text) ? $text : '', 2), 2, '');
        if (preg_match('/^[0-9: .+T-]{10,40}$/', $at) !== 1 || preg_match('/^[0-9a-f-]{36}$/', $id) !== 1) {
            throw Invalid::at('after', 'This is not a place in this list. Begin at its start.');
        }

        return new self($at, $id);
    }

    /** The cursor behind an entry. */
    public static function behind(string $at, string $id): string
    {
        return strtr(base64_encode($at.'|'.$id), '+/', '-_');
    }
}
