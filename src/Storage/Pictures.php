<?php

declare(strict_types=1);

namespace Lustrum\Storage;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Shared\Refusal\WrongKind;
use Lustrum\Storage\Decode\Picture;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Looks at the head of a picture that somebody sent, and has made of it what is kept; the decoding itself is bin/decode's. */
final readonly class Pictures
{
    public const MOST_SIDE = 12_000;
    public const MOST_PIXELS = 50_000_000;
    private const KINDS = [\IMAGETYPE_JPEG, \IMAGETYPE_PNG, \IMAGETYPE_WEBP, \IMAGETYPE_GIF];

    public function __construct(
        private Limited $limited,
        #[Autowire('%kernel.project_dir%/bin/decode')]
        private string $decoder,
    ) {
    }

    /**
     * Refuses what is no picture or too large a one, by its header alone: a few kilobytes may unpack to gigabytes.
     *
     * @throws Refusal
     */
    public function check(string $path): void
    {
        $header = @getimagesize($path);
        if ($header === false || !in_array($header[2], self::KINDS, true)) {
            throw WrongKind::file('a JPEG, PNG, WebP or GIF picture');
        }
        if (max($header[0], $header[1]) > self::MOST_SIDE || $header[0] * $header[1] > self::MOST_PIXELS) {
            throw TooLarge::pixels($header[0], $header[1], self::MOST_SIDE, intdiv(self::MOST_PIXELS, 1_000_000));
        }
    }

    /**
     * Width and height of a picture that carries nothing but itself, as Lustrum writes it: that is kept byte for byte, and
     * has the same hash wherever it goes. Null: it is to be made anew.
     *
     * @return array{int, int}|null
     */
    public function clean(string $path): ?array
    {
        $header = @getimagesize($path);
        if ($header === false || $header[2] !== \IMAGETYPE_JPEG || max($header[0], $header[1]) > Picture::KEPT_SIDE || !PlainJpeg::is($path)) {
            return null;
        }

        return [$header[0], $header[1]];
    }

    /**
     * What is kept of a picture, and a small one, beside what was sent; for workers.
     *
     * @param bool $smallOnly it is kept as it is
     *
     * @return array{kept: string, preview: string, width: int, height: int, takenAt: string|null} where they lie
     *
     * @throws Refusal where the decoder stumbles, or has too much to do
     */
    public function prepare(string $path, bool $smallOnly = false): array
    {
        [$kept, $preview] = [$smallOnly ? '-' : $path.'-kept.jpg', $path.'-preview.jpg'];
        try {
            $said = Row::json($this->limited->run(Line::Pictures, ['php', $this->decoder, 'picture', $path, $kept, $preview]));
        } catch (LimitPassed $e) {
            throw Invalid::at('file', $e->getMessage());
        } catch (DecodingFailed) {
            // Whatever the decoder stumbles over, it is the picture that is at fault.
            throw Invalid::at('file', 'This picture is damaged and could not be read.');
        }

        return [
            'kept' => $kept, 'preview' => $preview, 'width' => Row::whole($said['width'] ?? 0), 'height' => Row::whole($said['height'] ?? 0),
            'takenAt' => Row::textOrNull($said['takenAt'] ?? null),
        ];
    }
}
