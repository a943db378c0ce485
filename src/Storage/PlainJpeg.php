<?php

declare(strict_types=1);

namespace Lustrum\Storage;

/**
 * Is a file a JPEG that carries nothing but the picture (ITU-T T.81, B.1)? Its tables, frame and scans, the plain JFIF head
 * without a thumbnail, and the one comment with which our encoder signs; nothing behind its end.
 */
final class PlainJpeg
{
    /** Quantization and Huffman tables, restart interval, and a baseline or progressive frame. */
    private const OF_THE_PICTURE = [0xDB, 0xC4, 0xDD, 0xC0, 0xC1, 0xC2];
    private const APP0 = 0xE0;
    private const COMMENT = 0xFE;
    private const SCAN = 0xDA;
    private const JFIF_WITHOUT_THUMBNAIL = '/^JFIF\0..[\0-\2]....\0\0$/Ds';
    private const SIGNED = '/^CREATOR: gd-jpeg v1\.0 \(using IJG JPEG v\d{1,3}\), (quality = \d{1,3}|default quality)\n$/D';

    public static function is(string $path): bool
    {
        $bytes = (string) file_get_contents($path);
        if (!str_starts_with($bytes, "\xFF\xD8") || !str_ends_with($bytes, "\xFF\xD9")) {
            return false;
        }
        $at = 2;
        $end = strlen($bytes) - 2;
        while ($at < $end) {
            if ($bytes[$at] !== "\xFF" || $at + 4 > $end) {
                return false;
            }
            $marker = ord($bytes[$at + 1]);
            $length = (ord($bytes[$at + 2]) << 8) + ord($bytes[$at + 3]);
            if ($length < 2 || !self::belongs($marker, substr($bytes, $at + 4, $length - 2))) {
                return false;
            }
            $at += 2 + $length;
            if ($marker === self::SCAN) {
                $at = self::behind($bytes, $at);
            }
        }

        return $at === $end;
    }

    private static function belongs(int $marker, string $content): bool
    {
        return match ($marker) {
            self::SCAN => true,
            self::APP0 => preg_match(self::JFIF_WITHOUT_THUMBNAIL, $content) === 1,
            self::COMMENT => preg_match(self::SIGNED, $content) === 1,
            default => in_array($marker, self::OF_THE_PICTURE, true),
        };
    }

    /** Where the coded data of a scan ends: at the next marker that is neither a stuffed byte nor a restart. */
    private static function behind(string $bytes, int $from): int
    {
        return preg_match('/\xFF[^\x00\xD0-\xD7\xFF]/', $bytes, $m, \PREG_OFFSET_CAPTURE, $from) === 1 ? $m[0][1] : strlen($bytes);
    }
}
