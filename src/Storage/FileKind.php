<?php

declare(strict_types=1);

namespace Lustrum\Storage;

/** What kind of file is taken in; each has its types and its limit. */
enum FileKind: string
{
    case Picture = 'picture';
    case Sound = 'sound';
    case Clip = 'clip';
    case Document = 'document';

    /** Sniffed type => ending of the file's name. */
    private const TYPES = [
        'picture' => ['image/jpeg' => 'jpg', 'image/png' => 'png', 'image/webp' => 'webp', 'image/gif' => 'gif'],
        'sound' => [
            'audio/mpeg' => 'mp3', 'audio/x-wav' => 'wav', 'audio/wav' => 'wav', 'audio/ogg' => 'ogg', 'application/ogg' => 'ogg',
            'audio/mp4' => 'm4a', 'audio/x-m4a' => 'm4a', 'audio/webm' => 'webm', 'audio/flac' => 'flac',
        ],
        'clip' => ['video/mp4' => 'mp4', 'video/quicktime' => 'mov', 'video/webm' => 'webm', 'video/x-m4v' => 'mp4', 'video/3gpp' => '3gp'],
        'document' => ['application/pdf' => 'pdf', 'text/plain' => 'txt', 'text/csv' => 'csv', 'application/csv' => 'csv'],
    ];

    public static function ofType(string $type): ?self
    {
        foreach (self::cases() as $kind) {
            if (isset(self::TYPES[$kind->value][$type])) {
                return $kind;
            }
        }

        return null;
    }

    /** What a file claims to be by its name; null: nothing that is known here. */
    public static function ofName(string $name): ?self
    {
        $ending = strtolower(pathinfo($name, \PATHINFO_EXTENSION));
        foreach (self::cases() as $kind) {
            if (in_array($ending, self::TYPES[$kind->value], true)) {
                return $kind;
            }
        }

        return null;
    }

    public static function ending(string $type): string
    {
        foreach (self::TYPES as $types) {
            if (isset($types[$type])) {
                return $types[$type];
            }
        }

        return 'bin';
    }

    public function mostBytes(): int
    {
        return match ($this) {
            self::Picture, self::Document => 25_000_000,
            self::Sound => 50_000_000,
            self::Clip => 200_000_000,
        };
    }

    /** The line in which it waits to be prepared. */
    public function line(): Line
    {
        return match ($this) {
            self::Picture, self::Document => Line::Pictures,
            self::Sound, self::Clip => Line::Recordings,
        };
    }
}
