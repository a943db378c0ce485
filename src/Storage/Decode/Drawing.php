<?php

declare(strict_types=1);

namespace Lustrum\Storage\Decode;

/**
 * Takes out of an SVG whatever runs, fetches or refers outside of it, and its filters, a few of which keep a processor busy
 * for minutes; what is left is drawn elsewhere. Runs in a process of its own (bin/decode).
 */
final class Drawing
{
    /** A drawing of lines is smaller; the file itself is kept however large. */
    private const MOST_BYTES = 10_000_000;
    private const DROPPED = [
        'script', 'foreignObject', 'image', 'filter', 'iframe', 'audio', 'video', 'animate', 'animateMotion', 'animateTransform', 'set',
    ];

    /** @return array{script: bool, filters: bool} what was in it */
    public static function clean(string $path, string $out): array
    {
        if (filesize($path) > self::MOST_BYTES) {
            throw new \RuntimeException('This drawing is too large to be shown.');
        }
        $dom = new \DOMDocument();
        if (!@$dom->loadXML((string) file_get_contents($path), \LIBXML_NONET) || $dom->documentElement === null) {
            throw new \RuntimeException('This is no drawing that can be read.');
        }
        if ($dom->doctype !== null) {
            // With it go the entities that it may declare.
            $dom->removeChild($dom->doctype);
        }
        $found = ['script' => false, 'filters' => false];
        foreach (iterator_to_array($dom->getElementsByTagName('*')) as $element) {
            if (in_array($element->localName, self::DROPPED, true)) {
                $found['script'] = $found['script'] || $element->localName === 'script';
                $found['filters'] = $found['filters'] || $element->localName === 'filter';
                $element->parentNode?->removeChild($element);
            } elseif ($element->localName === 'style') {
                $styles = self::withoutFilters($element->textContent);
                $found['filters'] = $found['filters'] || $styles !== $element->textContent;
                $element->textContent = (string) preg_replace('/@import[^;]*;?|url\(\s*["\']?(?!#)[^)]*\)/i', '', $styles);
            } else {
                self::attributes($element, $found);
            }
        }
        file_put_contents($out, (string) $dom->saveXML());

        return $found;
    }

    /** @param array{script: bool, filters: bool} $found */
    private static function attributes(\DOMElement $element, array &$found): void
    {
        foreach (iterator_to_array($element->attributes) as $attribute) {
            $name = strtolower($attribute->localName ?? '');
            $value = trim($attribute->value);
            $runs = str_starts_with($name, 'on') || preg_match('/^\s*javascript:/i', $value) === 1;
            $found['script'] = $found['script'] || $runs;
            $found['filters'] = $found['filters'] || $name === 'filter';
            if ($runs || $name === 'filter' || ($name === 'href' && !str_starts_with($value, '#'))) {
                $element->removeAttributeNode($attribute);
            } elseif ($name === 'style' && ($left = self::withoutFilters($value)) !== $value) {
                $found['filters'] = true;
                $attribute->value = htmlspecialchars($left, \ENT_XML1);
            }
        }
    }

    private static function withoutFilters(string $styles): string
    {
        return (string) preg_replace('/(^|[;{\s])(backdrop-)?filter\s*:[^;}]*/i', '$1', $styles);
    }
}
