<?php

declare(strict_types=1);

namespace Lustrum\Storage;

use Intervention\Image\Drivers\Gd\Driver;
use Intervention\Image\ImageManager;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Shared\Refusal\WrongKind;

/**
 * Makes of a picture that somebody sent what is kept of it.
 *
 * Every picture is decoded and encoded anew, the first frame of it: what comes out is a picture and nothing else, and
 * carries neither position nor device data. It is turned upright first, as the orientation would be lost with them.
 * When it was taken is kept beside it.
 */
final class Pictures
{
    public const MOST_SIDE = 12_000;
    public const MOST_PIXELS = 50_000_000;
    private const KEPT_SIDE = 2560;
    private const PREVIEW_SIDE = 640;
    private const KINDS = [\IMAGETYPE_JPEG, \IMAGETYPE_PNG, \IMAGETYPE_WEBP, \IMAGETYPE_GIF];

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
     * @return array{string, string, int, int} what is kept and its preview, as JPEG, and width and height of the first
     *
     * @throws Invalid where the decoder stumbles
     */
    public function prepare(string $path): array
    {
        // A 50-megapixel picture takes 200 MB unpacked; the limit is lifted for this request only.
        ini_set('memory_limit', '768M');
        try {
            $image = (new ImageManager(new Driver(), autoOrientation: true, decodeAnimation: false, strip: true))->read($path);
            $kept = (string) $image->scaleDown(self::KEPT_SIDE, self::KEPT_SIDE)->toJpeg(86);
            [$width, $height] = [$image->width(), $image->height()];

            return [$kept, (string) $image->scaleDown(self::PREVIEW_SIDE, self::PREVIEW_SIDE)->toJpeg(80), $width, $height];
        } catch (\Throwable) {
            // Whatever the decoder stumbles over, it is the picture that is at fault.
            throw Invalid::at('file', 'This picture is damaged and could not be read. Nothing was saved.');
        }
    }

    /** When it was taken, by the clock of the camera; null where it does not say. */
    public function takenAt(string $path): ?string
    {
        $said = @exif_read_data($path, 'EXIF') ?: [];
        $at = is_string($said['DateTimeOriginal'] ?? null) ? $said['DateTimeOriginal'] : '';
        if (preg_match('/^(\d{4}):(\d\d):(\d\d) (\d\d):(\d\d):(\d\d)$/', $at, $m) !== 1 || !checkdate((int) $m[2], (int) $m[3], (int) $m[1])) {
            return null;
        }
        $offset = is_string($said['UndefinedTag:0x9011'] ?? null) ? $said['UndefinedTag:0x9011'] : '';

        return sprintf('%s-%s-%sT%s:%s:%s', ...array_slice($m, 1)).(preg_match('/^[+-]\d\d:\d\d$/', $offset) === 1 ? $offset : '');
    }
}
