<?php

declare(strict_types=1);

namespace Lustrum\Shared;

/** Lines of 'name: text', as somebody types a short list. */
final class NamedLines
{
    /**
     * @param list<string> $lines
     *
     * @return array<string, string> without lines that name nothing
     */
    public static function of(array $lines): array
    {
        $out = [];
        foreach ($lines as $line) {
            [$name, $text] = array_pad(explode(':', $line, 2), 2, '');
            if (trim($name) !== '') {
                $out[trim($name)] = trim($text);
            }
        }

        return $out;
    }
}
