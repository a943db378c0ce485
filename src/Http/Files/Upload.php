<?php

declare(strict_types=1);

namespace Lustrum\Http\Files;

use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\NoSpace;
use Lustrum\Shared\Refusal\TooLarge;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;

/** A form with one file and some texts, as it arrived. */
final class Upload
{
    /**
     * @param int $mostBytes that are taken, for the sentence where it did not arrive whole
     *
     * @throws Invalid|TooLarge|NoSpace
     */
    public static function file(Request $request, int $mostBytes): UploadedFile
    {
        $file = $request->files->get('file');
        if (!$file instanceof UploadedFile) {
            throw Invalid::at('file', 'No file arrived. Choose one and send it again.');
        }

        return match ($file->getError()) {
            \UPLOAD_ERR_OK => $file->isValid() ? $file : throw TooLarge::cutOff($mostBytes),
            \UPLOAD_ERR_CANT_WRITE, \UPLOAD_ERR_NO_TMP_DIR, \UPLOAD_ERR_EXTENSION => throw NoSpace::onDisk(),
            default => throw TooLarge::cutOff($mostBytes),
        };
    }

    /**
     * @param list<string> $names
     *
     * @return array<string, string> by name, those that say something
     *
     * @throws Invalid at a text that cannot be stored
     */
    public static function texts(Request $request, array $names): array
    {
        $out = [];
        foreach ($names as $name) {
            $value = self::sound($name, $request->request->get($name, ''));
            $out += $value === '' ? [] : [$name => $value];
        }

        return $out;
    }

    /** @throws Invalid */
    public static function sound(string $name, mixed $value): string
    {
        if (!is_string($value) || !mb_check_encoding($value, 'UTF-8') || str_contains($value, "\0")) {
            throw Invalid::at($name, 'This text cannot be stored.');
        }

        return $value;
    }
}
