<?php

declare(strict_types=1);

namespace Lustrum\Http\Files;

use Lustrum\Http\Cached;
use Lustrum\Shared\Refusal\NotThere;
use Lustrum\Storage\FileKind;
use Lustrum\Storage\Files;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A file of the store, whole or the part that was asked for (RFC 9110, 14: one range of bytes). */
final class FileAnswer
{
    private const PIECE = 64 * 1024;

    public static function of(Request $request, Files $files, string $sha256, bool $preview, string $type): Response
    {
        $size = $files->bytes($sha256, $preview);
        $headers = [
            'Content-Type' => $type, 'Cache-Control' => 'private, max-age=31536000, immutable', 'Accept-Ranges' => 'bytes',
            'Content-Security-Policy' => "default-src 'none'; sandbox", Cached::HEADER => '1',
        ];
        $range = self::range((string) $request->headers->get('Range', ''), $size);
        if ($range === []) {
            return new Response('', 416, ['Content-Range' => 'bytes */'.$size]);
        }
        [$from, $to] = $range ?? [0, $size - 1];
        $headers += [
            'Content-Length' => (string) ($to - $from + 1),
        ] + ($range === null ? [] : ['Content-Range' => sprintf('bytes %d-%d/%d', $from, $to, $size)]);
        $stream = $files->open($sha256, $preview);

        return new StreamedResponse(static function () use ($stream, $from, $to): void {
            if ($from > 0 && fseek($stream, $from) !== 0) {
                // A store that cannot jump is read up to there.
                stream_copy_to_stream($stream, fopen('php://temp', 'w') ?: throw new \RuntimeException('No memory to write to.'), $from);
            }
            for ($left = $to - $from + 1; $left > 0 && !feof($stream); $left -= strlen($piece)) {
                $piece = (string) fread($stream, max(1, min(self::PIECE, $left)));
                echo $piece;
                flush();
            }
            fclose($stream);
        }, $range === null ? 200 : 206, $headers);
    }

    /**
     * A picture, or the still of a clip; a small one where the request asks for a preview and it is made already.
     *
     * @throws NotThere
     */
    public static function seen(Request $request, Files $files, string $sha256, FileKind $kind): Response
    {
        $preview = $kind === FileKind::Clip || ($request->query->has('preview') && $files->has($sha256, true));
        if (!in_array($kind, [FileKind::Picture, FileKind::Clip], true) || !$files->has($sha256, $preview)) {
            throw NotThere::picture();
        }

        return self::of($request, $files, $sha256, $preview, 'image/jpeg');
    }

    /** A file that somebody sent: what others wrote is saved, never opened in our name. */
    public static function held(Request $request, Files $files, string $sha256, FileKind $kind, string $type): Response
    {
        if (!$files->has($sha256)) {
            throw NotThere::picture();
        }
        $answer = self::of($request, $files, $sha256, false, $type);
        if ($kind === FileKind::Document) {
            $answer->headers->set('Content-Disposition', 'attachment; filename="'.substr($sha256, 0, 12).'.'.FileKind::ending($type).'"');
        }

        return $answer;
    }

    /** @return array{int, int}|array{}|null first and last byte; empty where there are no such bytes; null: all of it */
    private static function range(string $asked, int $size): ?array
    {
        if (preg_match('/^bytes=(\d*)-(\d*)$/', $asked, $m) !== 1 || ($m[1] === '' && $m[2] === '')) {
            return null;
        }
        $from = $m[1] === '' ? max(0, $size - (int) $m[2]) : (int) $m[1];
        $to = $m[1] === '' || $m[2] === '' ? $size - 1 : min((int) $m[2], $size - 1);

        return $from <= $to && $from < $size ? [$from, $to] : [];
    }
}
