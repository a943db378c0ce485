<?php

declare(strict_types=1);

namespace Lustrum\Storage;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Refusal\Invalid;

/**
 * Makes of a clip or a sound that somebody sent what is kept of it: the same streams in a new container without
 * anything that says where or with what it was taken, and of a clip one still picture. A file is read as what its content
 * was found to be and as nothing else, and nothing is fetched for it. For workers.
 */
final readonly class Recordings
{
    private const LONGEST_SECONDS = 4 * 3600;
    private const CONTAINER = ['mov' => 'mp4', '3gp' => 'mp4', 'm4a' => 'mp4'];
    private const PREVIEW = "scale='min(640,iw)':-2";

    /** How each ending is read, by the name that ffmpeg gives it. */
    private const READ_AS = [
        'mp4' => 'mov', 'mov' => 'mov', '3gp' => 'mov', 'm4a' => 'mov', 'webm' => 'matroska', 'mp3' => 'mp3', 'wav' => 'wav',
        'ogg' => 'ogg', 'flac' => 'flac',
    ];

    public function __construct(
        private Limited $limited,
    ) {
    }

    /**
     * @return array{width: int, height: int, seconds: float, takenAt: ?string}
     *
     * @throws Invalid
     */
    public function look(string $path, string $ending): array
    {
        $said = Row::json($this->run([
            'ffprobe', '-v', 'error', '-print_format', 'json', '-show_format', '-show_streams', ...self::from($ending), 'file:'.$path,
        ]));
        $format = is_array($said['format'] ?? null) ? $said['format'] : [];
        $width = $height = 0;
        foreach (Row::rows($said['streams'] ?? null) as $stream) {
            if (($stream['codec_type'] ?? '') === 'video' && $width === 0) {
                [$width, $height] = [Row::whole($stream['width'] ?? 0), Row::whole($stream['height'] ?? 0)];
            }
        }
        $seconds = Row::number($format['duration'] ?? 0);
        if ($seconds > self::LONGEST_SECONDS) {
            throw Invalid::at('file', 'This plays for more than four hours; cut out what matters and send that.');
        }
        $tags = is_array($format['tags'] ?? null) ? $format['tags'] : [];
        $at = Row::text($tags['creation_time'] ?? '');
        // Cameras without a clock write the beginning of their time.
        $takenAt = preg_match('/^(20\d\d-\d\d-\d\dT\d\d:\d\d:\d\d)(\.\d+)?Z$/', $at, $m) === 1 ? $m[1].'+00:00' : null;

        return ['width' => $width, 'height' => $height, 'seconds' => $seconds, 'takenAt' => $takenAt];
    }

    /**
     * Writes what is kept beside what was sent.
     *
     * @throws Invalid
     */
    public function strip(string $path, FileKind $kind, string $ending): string
    {
        $out = $path.'-kept.'.$ending;
        $streams = $kind === FileKind::Clip ? ['-map', '0:v:0', '-map', '0:a?'] : ['-map', '0:a:0'];
        $this->run([
            'ffmpeg', '-v', 'error', '-y', ...self::from($ending), '-i', 'file:'.$path, ...$streams, '-c', 'copy', '-map_metadata', '-1',
            '-map_metadata:s', '-1', '-map_chapters', '-1',
            '-fflags', '+bitexact', '-flags:v', '+bitexact', '-flags:a', '+bitexact',
            ...(in_array(self::CONTAINER[$ending] ?? $ending, ['mp4'], true) ? ['-movflags', '+faststart'] : []), '-f',
            self::CONTAINER[$ending] ?? $ending, 'file:'.$out,
        ]);

        return $out;
    }

    /**
     * One still picture of a clip.
     *
     * @throws Invalid
     */
    public function still(string $path, float $seconds, string $ending): string
    {
        $out = $path.'-still.jpg';
        $this->run([
            'ffmpeg', '-v', 'error', '-y', '-threads', '2', '-ss', sprintf('%.2f', min(1.0, $seconds / 3)), ...self::from($ending), '-i',
            'file:'.$path, '-frames:v', '1', '-vf', self::PREVIEW, '-map_metadata', '-1', 'file:'.$out,
        ]);

        return $out;
    }

    /** @return list<string> how a file with this ending is read, and from where */
    private static function from(string $ending): array
    {
        return ['-protocol_whitelist', 'file', '-f', self::READ_AS[$ending] ?? throw Invalid::at('file', 'No such recording can be read.')];
    }

    /** @param list<string> $command */
    private function run(array $command): string
    {
        try {
            return $this->limited->run(Line::Recordings, $command);
        } catch (LimitPassed $e) {
            throw Invalid::at('file', $e->getMessage());
        } catch (DecodingFailed) {
            throw Invalid::at('file', 'This recording is damaged, or of a kind that cannot be read. Nothing of it can be played.');
        }
    }
}
