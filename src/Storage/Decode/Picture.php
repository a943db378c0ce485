<?php

declare(strict_types=1);

namespace Lustrum\Storage\Decode;

use Intervention\Image\Drivers\Gd\Driver;
use Intervention\Image\ImageManager;

/**
 * Decodes a picture and encodes it anew, the first frame of it: what comes out is a picture and nothing else, and carries
 * neither position nor device data. It is turned upright first, as the orientation would be lost with them. When it was
 * taken is kept beside it. Runs in a process of its own (bin/decode).
 */
final class Picture
{
    public const KEPT_SIDE = 2560;
    private const PREVIEW_SIDE = 640;

    /**
     * @param string|null $kept where it goes; null: only the small one is made
     *
     * @return array{width: int, height: int, takenAt: string|null}
     */
    public static function prepare(string $path, ?string $kept, string $preview): array
    {
        $image = (new ImageManager(new Driver(), autoOrientation: true, decodeAnimation: false, strip: true))->read($path);
        if ($kept !== null) {
            $image = $image->scaleDown(self::KEPT_SIDE, self::KEPT_SIDE);
            file_put_contents($kept, (string) $image->toJpeg(86));
        }
        $size = ['width' => $image->width(), 'height' => $image->height()];
        file_put_contents($preview, (string) $image->scaleDown(self::PREVIEW_SIDE, self::PREVIEW_SIDE)->toJpeg(80));

        return $size + ['takenAt' => self::takenAt($path)];
    }

    /** By the clock of the camera; null where it does not say. */
    private static function takenAt(string $path): ?string
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
