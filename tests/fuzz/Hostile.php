<?php

declare(strict_types=1);

/** Makes what nobody should send: bodies after the description of the interface, spoiled at one to three places. */
final class Hostile
{
    /** Stand for bytes that no encoder writes. */
    private const BYTES = '@@bytes@@';
    private const HALF = '@@half@@';
    private const DEPTH = 4;

    /**
     * @param array<string, array<string, mixed>> $schemas by name, of the description
     */
    public function __construct(
        private readonly array $schemas,
        private readonly Pool $pool,
    ) {
    }

    /** Decoded, as the description wants it; identifiers are those of records that are there. */
    public function sound(array $schema, string $name = '', int $depth = 0): mixed
    {
        if (isset($schema['$ref'])) {
            $schema = $this->schemas[basename($schema['$ref'])];
        }
        if (isset($schema['oneOf'])) {
            return $this->sound(self::one($schema['oneOf']), $name, $depth);
        }
        if (isset($schema['enum'])) {
            return self::one($schema['enum']);
        }
        $type = self::one((array) ($schema['type'] ?? 'string'));

        return match ($type) {
            'null' => null,
            'boolean' => mt_rand(0, 1) === 1,
            'integer' => self::one([0, 1, 2, 3, 7, 12]),
            'number' => self::one([0, 0.5, 1, 2.75, 40, 1200]),
            'array' => $depth > self::DEPTH ? [] : array_map(
                fn () => $this->sound($schema['items'] ?? [], rtrim($name, 's'), $depth + 1), range(1, mt_rand(1, 3)),
            ),
            'object' => $this->object($schema, $depth),
            default => $this->text($name),
        };
    }

    private function object(array $schema, int $depth): array|stdClass
    {
        $out = [];
        foreach ($schema['properties'] ?? [] as $field => $of) {
            if (in_array($field, $schema['required'] ?? [], true) || ($depth < self::DEPTH && mt_rand(0, 2) > 0)) {
                $out[$field] = $this->sound($of, $field, $depth + 1);
            }
        }

        return $out === [] ? new stdClass() : $out;
    }

    private function text(string $name): string
    {
        $id = $this->pool->any($name);

        return match (true) {
            $id !== null => $id,
            str_ends_with($name, 'At'), in_array($name, ['at', 'from', 'until', 'since'], true) => '2026-0'.mt_rand(1, 9).'-1'.mt_rand(0, 9).'T10:00:00Z',
            in_array($name, ['day', 'date', 'due'], true) => '2026-11-2'.mt_rand(0, 9),
            default => self::one(['Wiper', '12.5 mm', '40', 'A', '3 kg', 'yes', 'as before', '00:10', 'N', '20 ± 1 N', '≥ 5 mm', '1/2']),
        };
    }

    /** The same with one to three places replaced by what nobody expects. */
    public function spoiled(mixed $body): mixed
    {
        for ($i = mt_rand(1, 3); $i > 0; --$i) {
            $body = $this->spoil($body, 0);
        }

        return $body;
    }

    private function spoil(mixed $value, int $depth): mixed
    {
        $value = $value instanceof stdClass ? (array) $value : $value;
        if (!is_array($value) || $value === [] || $depth > 6 || mt_rand(0, 9) === 0) {
            return $this->value($value);
        }
        $key = array_rand($value);
        $list = array_is_list($value);
        match (mt_rand(0, 11)) {
            0 => $value = array_diff_key($value, [$key => 0]),
            1 => $value[$list ? count($value) : self::one(['', '__proto__', 'id', 'createdBy', "\u{202e}x"])] = $this->value(null),
            2 => $value = $list ? self::many($value[$key]) : array_replace($value, [$key => self::many($value[$key])]),
            default => $value[$key] = $this->spoil($value[$key], $depth + 1),
        };

        return $list && is_array($value) ? array_values($value) : $value;
    }

    /** The same with one text or number replaced by another that may be taken, and hurt later. */
    public function bent(array $body): string
    {
        $key = array_rand($body);
        $was = $body[$key];
        $body[$key] = match (true) {
            is_string($was) => self::one([
                '', ' ', 'ä', "\u{202e}x", '🪁', str_repeat('W', 40), '<b>', '{n, plural}', "'", '%s', '0', '-1', '1e5', '1e308', '0 mm', '-5 N', '≥ 5 mm',
                '1e-300 kg', '5 ± 0 mm', '0001-01-01', '9999-12-31T23:59:59Z', (string) $this->pool->any(''), 'A', $was.$was,
            ]),
            is_int($was), is_float($was) => self::one([0, -1, 1, 1e308, -1e308, 5e-324, 2147483647, 0.1 + 0.2]),
            is_bool($was) => !$was,
            $was === [], $was === null => $was,
            default => is_array($was) ? (array_is_list($was) ? array_reverse($was) : json_decode($this->bent($was), true)) : $was,
        };

        return (string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    /** So often that it is too much, and not so that it is too much for us. */
    private static function many(mixed $of): array
    {
        return array_fill(0, strlen((string) json_encode($of, JSON_PARTIAL_OUTPUT_ON_ERROR)) < 300 ? 5000 : 3, $of);
    }

    private function value(mixed $was): mixed
    {
        $deep = 'x';
        for ($i = 0; $i < 300; ++$i) {
            $deep = [$deep];
        }
        $text = is_string($was) ? $was : 'a';
        $any = [
            null, true, false, [], new stdClass(), 0, -1, 1, -0.0, 1e308, -1e308, 5e-324, PHP_INT_MAX, PHP_INT_MIN, 4294967296, 0.1 + 0.2,
            '', ' ', "\t\n", "\0", $text."\0", "\u{202e}".$text, "\u{feff}".$text, str_repeat('a', 300), str_repeat('ä', 5000),
            str_repeat('9', 400), str_repeat($text, 50), self::BYTES, self::HALF, 'NaN', 'INF', '-Infinity', '1e999', '-1e999', '0x1F', '1_000',
            '٣٫٥', '𝟓', '½', '1/0', '0/0', '5..6', '5 - 6 - 7', '≥', '≥ ∞ mm', '< -5 mm', '20 ± -1', '20 ± 1e400', '1e-400 mm', '5 kg m / s^^2',
            '5 m^99999999999', '5 mm mm mm', '12:60:61', '-00:01', '99999999:00', "'; DROP TABLE run; --", '<script>alert(1)</script>', '{{7*7}}',
            '${7*7}', '%n%s', '../../../../etc/passwd', 'file:///etc/passwd', '%00', '0000-00-00', '2026-02-30', '2026-13-01', '9999-12-31',
            '9999-12-31T23:59:59Z', '0001-01-01T00:00:00Z', '-9999-01-01T00:00:00Z', '+275760-09-13T00:00:00Z', '2026-11-20T25:61:00Z',
            '00000000-0000-0000-0000-000000000000', 'ffffffff-ffff-ffff-ffff-ffffffffffff', $this->pool->any(''), strtoupper((string) $this->pool->any('')),
            [$was], ['a' => $was], $deep, array_fill(0, 5000, null), array_fill(0, 200, []),
        ];

        return self::one($any);
    }

    /** As it goes over the wire; now and then spoiled as such. */
    public function encoded(mixed $body): string
    {
        $json = json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE, 1024);
        $json = strtr((string) $json, [self::BYTES => "\xff\xfe\xc3\x28", self::HALF => '\ud800']);

        return match (mt_rand(0, 60)) {
            0 => substr($json, 0, mt_rand(0, strlen($json))),
            1 => $json.$json,
            2 => "\u{feff}".$json,
            3 => str_repeat('[', 100_000),
            4 => '',
            5 => random_bytes(200),
            6 => (string) preg_replace('/"([^"]+)":/', '"$1":1e99999,"$1":', $json, 1),
            7 => str_repeat(' ', 200_000).$json,
            default => $json,
        };
    }

    /** @template T @param non-empty-array<T> $of @return T */
    public static function one(array $of): mixed
    {
        return $of[array_keys($of)[mt_rand(0, count($of) - 1)]];
    }
}
