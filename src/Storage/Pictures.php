<?php

declare(strict_types=1);

namespace Lustrum\Storage;

use Intervention\Image\Drivers\Gd\Driver;
use Intervention\Image\ImageManager;
use League\Flysystem\FilesystemOperator;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Refusal;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Shared\Refusal\WrongKind;

/**
 * Takes in pictures, content-addressed by SHA-256.
 *
 * Every picture is decoded and encoded anew: what comes out is a picture and nothing else, and carries neither
 * position nor device data. It is turned upright first, as the orientation would be lost with them.
 */
final readonly class Pictures
{
    public const MOST_BYTES = 25_000_000;
    public const MOST_SIDE = 12_000;
    public const MOST_PIXELS = 50_000_000;
    private const KEPT_SIDE = 2560;
    private const PREVIEW_SIDE = 640;
    private const KINDS = [\IMAGETYPE_JPEG, \IMAGETYPE_PNG, \IMAGETYPE_WEBP, \IMAGETYPE_GIF];

    public function __construct(
        private FilesystemOperator $files,
    ) {
    }

    /** @throws Refusal when it is no picture, or a limit is passed */
    public function take(string $path): StoredPicture
    {
        $bytes = (int) @filesize($path);
        if ($bytes > self::MOST_BYTES) {
            throw TooLarge::file('picture', $bytes, self::MOST_BYTES);
        }
        // Only the header is read here: a picture of a few kilobytes may unpack to gigabytes.
        $header = @getimagesize($path);
        if ($header === false || !in_array($header[2], self::KINDS, true)) {
            throw WrongKind::file('a JPEG, PNG, WebP or GIF picture');
        }
        if (max($header[0], $header[1]) > self::MOST_SIDE || $header[0] * $header[1] > self::MOST_PIXELS) {
            throw TooLarge::pixels($header[0], $header[1], self::MOST_SIDE, intdiv(self::MOST_PIXELS, 1_000_000));
        }
        // A 50-megapixel picture takes 200 MB unpacked; the limit is lifted for this request only.
        ini_set('memory_limit', '768M');
        try {
            $image = (new ImageManager(new Driver(), autoOrientation: true, strip: true))->read($path);
            $kept = (string) $image->scaleDown(self::KEPT_SIDE, self::KEPT_SIDE)->toJpeg(86);
            $width = $image->width();
            $height = $image->height();
            $preview = (string) $image->scaleDown(self::PREVIEW_SIDE, self::PREVIEW_SIDE)->toJpeg(80);
        } catch (\Throwable $e) {
            // Whatever the decoder stumbles over, it is the picture that is at fault.
            throw Invalid::at('file', 'This picture is damaged and could not be read. Nothing was saved.');
        }
        $sha256 = hash('sha256', $kept);
        if (!$this->files->fileExists(self::path($sha256, false))) {
            $this->files->write(self::path($sha256, true), $preview);
            $this->files->write(self::path($sha256, false), $kept);
        }

        return new StoredPicture($sha256, $width, $height, strlen($kept));
    }

    /** @return resource */
    public function open(string $sha256, bool $preview)
    {
        return $this->files->readStream(self::path($sha256, $preview));
    }

    public function has(string $sha256): bool
    {
        return preg_match('/^[0-9a-f]{64}$/', $sha256) === 1 && $this->files->fileExists(self::path($sha256, false));
    }

    private static function path(string $sha256, bool $preview): string
    {
        return sprintf('%s/%s/%s%s.jpg', substr($sha256, 0, 2), substr($sha256, 2, 2), $sha256, $preview ? '-preview' : '');
    }
}
