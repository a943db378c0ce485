<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\CoreException;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Budget;
use Lustrum\Core\Working\Entry;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Naming;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Typing;

/** What several users take of what there is: pins, current, memory, or anything else that is counted or measured. */
final readonly class ResourceBudget implements Naming
{
    public const NAME = 'resourceBudget';

    /** Lines, and amounts in one of them. */
    private const MOST = 40;

    public function about(): About
    {
        return new About(
            'Resource budget', 'What is taken of what there is, and what is left: pins, current, memory, mass, or whatever is named.',
            ['enough pins', 'enough current', 'enough memory', 'supply', 'what is left', 'how many can I connect', 'allowance'],
            [
                Field::lines('available', 'There is', "pins 20\ncurrent 500 mA"),
                Field::lines('uses', 'It is taken by', "2 × motor driver: pins 3; current 150 mA\nlamp: pins 1; current 20 mA"),
            ],
            [Output::of('left', 'Left of each', '', '1', 'left = there is − Σ(number·need)')],
            'Adding up.', 'What is needed only at times, starting currents, what the programme itself takes.',
        );
    }

    public function outputs(array $texts): array
    {
        [$there, $uses] = self::read($texts['available'] ?? '', $texts['uses'] ?? '');
        $out = [];
        foreach (self::budget($there, $uses) as $name => $of) {
            $taken = [];
            foreach ($uses as $use) {
                $need = $use['needs'][$name] ?? null;
                if ($need !== null) {
                    $taken[] = sprintf(
                        ' − %s%s (%s)', $use['count'] === 1.0 ? '' : Digits::exact($use['count']).' × ',
                        self::amount($need->value, $need->unit), $use['name'],
                    );
                }
            }
            $words = sprintf(
                $of['left'] < 0.0 ? '%s: more is taken than there is, %s of %s; left' : '%s: %s of %s taken; left', $name,
                self::amount($of['value'], $of['unit']), self::amount($of['available'], $of['unit']),
            );
            $out[] = [
                $of['available'] === 0.0 ? $of['left'] : $of['left'] / abs($of['available']),
                Output::of(
                    (string) $name, $words, '', $of['unit'], 'left = '.self::amount($of['available'], $of['unit']).implode('', $taken),
                )->exact(),
            ];
        }
        // What runs out first stands first.
        usort($out, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($out, 1) ?: throw InvalidInput::because('Something has to be there.', 'available');
    }

    public function work(Given $in): array
    {
        [$there, $uses] = self::read($in->lines('available'), $in->lines('uses'));

        return array_map(
            static fn (array $of): float => (new Entry($of['left'], $of['unit']))->si($of['unit'])[0], self::budget($there, $uses),
        );
    }

    /**
     * @param array<string, Entry>                                                 $there
     * @param list<array{name: string, count: float, needs: array<string, Entry>}> $uses
     *
     * @return array<string, array{value: float, unit: string, available: float, left: float, share: float|null}>
     */
    private static function budget(array $there, array $uses): array
    {
        try {
            return Budget::of($there, $uses);
        } catch (CoreException $e) {
            // Of lines, the field and which line it is.
            $line = preg_match('#^inputs/uses/(\d+)/#', $e->path, $m) === 1 ? $uses[(int) $m[1]]['name'].': ' : '';
            throw InvalidInput::because($line.$e->getMessage(), $line === '' ? 'available' : 'uses');
        }
    }

    /**
     * @return array{array<string, Entry>, list<array{name: string, count: float, needs: array<string, Entry>}>}
     *
     * @throws InvalidInput
     */
    private static function read(string $available, string $uses): array
    {
        $there = self::amounts($available, 'available', []);
        $out = [];
        foreach (self::parts('/\R/u', $uses, 'uses') as $line) {
            [$who, $needs] = array_map(trim(...), explode(':', $line, 2) + [1 => '']);
            if ($who === '' || $needs === '') {
                throw InvalidInput::because(sprintf(
                    '“%s”: a line says who, a colon, and what is taken, as in lamp: pins 1; current 20 mA.', mb_substr($line, 0, 60),
                ), 'uses');
            }
            [$count, $name] = self::counted($who);
            $out[] = ['name' => $name, 'count' => $count, 'needs' => self::amounts($needs, 'uses', $there)];
        }

        return [$there, $out];
    }

    /** @return array{float, string} how many, and of what: `2 × lamp`, `lamp x 2` */
    private static function counted(string $who): array
    {
        $found = preg_match('/^(?<n>\d+)(?:\s*[×*]\s*|\s+x\s+|\s+)(?<name>\S.*)$/iu', $who, $m) === 1
            || preg_match('/^(?<name>.*\S)(?:\s*[×*]|\s+x)\s*(?<n>\d+)$/iu', $who, $m) === 1;

        return $found ? [(float) $m['n'], $m['name']] : [1.0, $who];
    }

    /**
     * Amounts by name: `pins 3; current 150 mA`.
     *
     * @param array<string, Entry> $like whose unit is meant where none stands
     *
     * @return array<string, Entry>
     *
     * @throws InvalidInput at $field
     */
    private static function amounts(string $text, string $field, array $like): array
    {
        $out = [];
        foreach (self::parts('/[;\r\n]+/u', $text, $field) as $one) {
            // A name with a number in it wants a sign of equality: rail 5 V = 500 mA.
            if (preg_match('/^(?<name>[^=]*\S)\s*=\s*(?<amount>\S.*)$/u', $one, $m) !== 1
                && preg_match('/^(?<name>\D.*?)\s+(?<amount>[-+−]?[\d.,]*\d.*)$/u', $one, $m) !== 1) {
                throw InvalidInput::because(
                    sprintf('“%s”: a name and how much of it, as in current 500 mA.', mb_substr($one, 0, 60)), $field,
                );
            }
            $name = mb_substr(trim($m['name']), 0, 60);
            if (isset($out[$name])) {
                throw InvalidInput::because(sprintf('“%s” stands here twice.', $name), $field);
            }
            try {
                $out[$name] = Typing::one($m['amount'], ($like[$name] ?? null)->unit ?? '1');
            } catch (CoreException $e) {
                throw InvalidInput::because($name.': '.$e->getMessage(), $field);
            }
            if ($out[$name]->value < 0.0 || $out[$name]->u > 0.0) {
                throw InvalidInput::because($name.': a plain amount is wanted here, from nought up and without ±.', $field);
            }
        }

        return $out;
    }

    /**
     * @return list<string>
     *
     * @throws InvalidInput
     */
    private static function parts(string $by, string $text, string $field): array
    {
        $out = array_values(array_filter(array_map(trim(...), preg_split($by, $text) ?: []), static fn (string $one): bool => $one !== ''));

        return count($out) <= self::MOST ? $out : throw InvalidInput::because(sprintf('At most %d can be taken here.', self::MOST), $field);
    }

    private static function amount(float $value, string $unit): string
    {
        return Digits::exact($value).($unit === '1' || $unit === 'count' ? '' : ' '.$unit);
    }
}
