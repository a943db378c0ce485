<?php

declare(strict_types=1);

namespace Lustrum\Action\Exchange;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Filled;
use Lustrum\Core\Run\Question;
use Lustrum\Core\Run\Row;
use Lustrum\Domain\Trial\Run;
use Lustrum\Shared\Refusal\Invalid;

/** A configuration from a file, under the identifiers of this workspace; what a sheet could not read is refused. */
final class Frozen
{
    /**
     * @param callable(Run, string, string): string $metric  identifier of a metric by what the file calls it
     * @param callable(Run): Configuration          $present what the run would be made with if it began now
     *
     * @throws Invalid
     */
    public static function read(mixed $row, Run $run, callable $metric, callable $present): Configuration
    {
        if (!is_array($row) || array_is_list($row)) {
            throw Invalid::at('configuration', 'A configuration is an object with named fields.');
        }
        $shape = Configuration::fromRow([])->toRow();
        foreach ($row as $key => $value) {
            if (array_key_exists($key, $shape) && is_array($value) !== is_array($shape[$key])) {
                throw Invalid::at('configuration/'.$key, 'This does not have the shape that it should have.');
            }
        }
        try {
            return self::sound(self::whole($row, $run, $present), $run, $metric);
        } catch (CoreException $e) {
            throw Invalid::at('configuration', $e->getMessage());
        }
    }

    /**
     * A run of an older file froze less than it is judged by: the rest is filled from its method and build as they are in
     * the file, and marked so.
     *
     * @param array<array-key, mixed>      $row
     * @param callable(Run): Configuration $present
     *
     * @return array<array-key, mixed>
     */
    private static function whole(array $row, Run $run, callable $present): array
    {
        if (array_key_exists('conditions', $row)) {
            return $row;
        }
        $now = $present($run)->toRow();
        $missing = ['parameters', 'parts', 'conditions', 'settings', 'heldWhen', 'factors', 'questions'];

        return $row + array_intersect_key($now, array_flip($missing)) + ['filled' => Filled::Present->value];
    }

    /**
     * @param array<array-key, mixed>               $row
     * @param callable(Run, string, string): string $metric
     */
    private static function sound(array $row, Run $run, callable $metric): Configuration
    {
        $channels = [];
        foreach (Row::rows($row['channels'] ?? []) as $channel) {
            $unit = Row::text($channel['unit'] ?? '');
            Units::parse($unit);
            $channels[] = ['metric' => $metric($run, Row::text($channel['metric'] ?? ''), $unit)] + $channel;
        }
        foreach ([...Row::rows($row['conditions'] ?? []), ...Row::rows($row['settings'] ?? [])] as $rule) {
            if (Row::text($rule['unit'] ?? '') !== '') {
                Units::parse(Row::text($rule['unit']));
            }
        }
        $parameters = array_map(static function (array $p): array {
            $quantity = Quantity::of(
                Row::numberOrNull($p['value'] ?? null) ?? \NAN,
                Row::text($p['unit'] ?? '') === '' && Row::text($p['words'] ?? '') !== '' ? '1' : Row::text($p['unit'] ?? ''),
                Row::numberOrNull($p['resolution'] ?? null),
            );

            return ['si' => $quantity->si()] + $p;
        }, Row::rows($row['parameters'] ?? []));
        $trial = $run->trial();

        return Configuration::fromRow([
            'revision' => $trial->revision()->id()->toRfc4122(), 'article' => $run->article()?->id()->toRfc4122(),
            'method' => $trial->method()->id()->toRfc4122(), 'channels' => $channels, 'parameters' => $parameters,
            'questions' => array_map(static fn (Question $q): array => get_object_vars(
                $q->showing($metric($run, $q->metric, '')),
            ), Configuration::fromRow($row)->questions),
        ] + $row);
    }
}
