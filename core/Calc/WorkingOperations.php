<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Budget;
use Lustrum\Core\Working\Entered;
use Lustrum\Core\Working\Entry;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\FieldKind;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Sum\ResourceBudget;
use Lustrum\Core\Working\Work;
use Lustrum\Core\Working\Worked;
use Lustrum\Core\Working\Workings;

final class WorkingOperations implements OperationGroup
{
    /** Units whose values may be given as plain numbers. */
    private const PLAIN = ['1', 'count'];

    public static function operations(): array
    {
        return [
            new Operation('workings.list', 'The sums of the bench: what goes in, what comes out, and where it is from.',
                [],
                ['calculators' => 'by name: about, inputs, outputs, formula, source, leavesOut'],
                self::list(...)),
            new Operation('workings.run', 'Works one of them out.',
                [
                    'name' => 'of the list', 'inputs' => 'by name: value, unit, u?; a plain number where none is measured; a list; a word',
                    'units?' => 'by output, where another than its own is wanted',
                ],
                [
                    'name' => 'as given', 'results' => 'by output: value, unit, u?, of (shares of its variance, by input)',
                    'formula' => 'as written',
                    'source' => 'of the formula', 'leavesOut' => 'what it does not take into account',
                ],
                self::run(...)),
        ];
    }

    /** @return array<string, mixed> */
    private static function list(): array
    {
        $all = array_map(static fn (Work $w): array => [
            'about' => $w->about->what,
            'inputs' => array_combine(
                array_column($w->about->inputs, 'name'), array_map(self::field(...), $w->about->inputs),
            ),
            'outputs' => array_combine(
                array_column($w->about->outputs, 'name'),
                array_map(static fn (Output $o): string => $o->words.($o->unit === '1' ? '' : ', in '.$o->unit), $w->about->outputs),
            ),
            'formula' => $w->about->formula(), 'source' => $w->about->source, 'leavesOut' => $w->about->leavesOut,
        ], Workings::all());

        return ['calculators' => $all];
    }

    private static function field(Field $field): string
    {
        $what = match ($field->kind) {
            FieldKind::Choice => implode(', ', $field->choices),
            FieldKind::Lines => 'by name: '.$field->example,
            FieldKind::Many => 'a list, each in '.$field->unit.' or the like',
            FieldKind::One => $field->unit === '1' ? 'a number' : 'in '.$field->unit.' or the like',
        };
        $default = trim($field->default.' '.(is_float($field->default) && $field->unit !== '1' ? $field->unit : ''));

        return $field->words.': '.$what.($field->needed ? '' : ($default === '' ? '; not needed' : '; '.$default.' where it is not given'));
    }

    /** @return array<string, mixed> */
    private static function run(Input $in): array
    {
        $name = $in->text('name');
        $inputs = $in->object('inputs');
        $work = Workings::named($name);
        if ($name === ResourceBudget::NAME) {
            // By names of its own, as structured as it comes; lines are for people.
            return self::said($name, self::budget($inputs), $work->about);
        }
        $results = [];
        $entered = Entered::read($work->about, self::entries($work->about, $inputs));
        foreach ($work->out($entered, $in->has('units') ? $in->textMap('units') : []) as $one) {
            $results[$one->name] = self::result($one);
        }

        return self::said($name, $results, $work->about);
    }

    /**
     * @param array<string, mixed> $results
     *
     * @return array<string, mixed>
     */
    private static function said(string $name, array $results, About $about): array
    {
        return [
            'name' => $name, 'results' => $results, 'formula' => $about->formula(), 'source' => $about->source,
            'leavesOut' => $about->leavesOut,
        ];
    }

    private static function result(Worked $one): mixed
    {
        if (is_array($one->value)) {
            return array_map(static fn (float $v): array => ['value' => $v, 'unit' => $one->unit], $one->value);
        }

        return $one->value === null ? null : ['value' => $one->value, 'unit' => $one->unit]
            + ($one->u === null ? [] : ['u' => $one->u, 'of' => $one->parts]);
    }

    /** @return array<string, Entry|list<Entry>|string> */
    private static function entries(About $about, Input $in): array
    {
        $in->only(array_column($about->inputs, 'name'));
        $out = [];
        foreach ($about->inputs as $field) {
            if (!$in->has($field->name)) {
                continue;
            }
            $out[$field->name] = match ($field->kind) {
                FieldKind::Choice, FieldKind::Lines => $in->text($field->name),
                FieldKind::Many => $in->hasObjects($field->name)
                    ? array_map(static fn (Input $one): Entry => self::measured($one), $in->objects($field->name))
                    : array_map(
                        static fn (float $v): Entry => self::plain($field->unit, $v, $in->at($field->name)),
                        $in->numbers($field->name),
                    ),
                FieldKind::One => $in->isObject($field->name) ? self::measured($in->object($field->name))
                    : self::plain($field->unit, $in->number($field->name), $in->at($field->name)),
            };
        }

        return $out;
    }

    private static function measured(Input $one): Entry
    {
        $one->only(['value', 'unit', 'u']);

        return new Entry($one->number('value'), $one->text('unit'), $one->number('u', 0.0));
    }

    private static function plain(string $unit, float $value, string $path): Entry
    {
        return in_array($unit, self::PLAIN, true) ? new Entry($value, $unit) : throw InvalidInput::because(
            'A value and its unit are wanted here.', $path,
        );
    }

    /** @return array<string, array<string, mixed>> */
    private static function budget(Input $in): array
    {
        $in->only(['available', 'uses']);
        $amounts = static function (Input $of): array {
            $out = [];
            foreach ($of->names() as $name) {
                $out[$name] = $of->isObject($name) ? self::measured($of->object($name)) : self::plain(
                    '1', $of->number($name), $of->at($name),
                );
            }

            return $out;
        };
        $uses = [];
        foreach ($in->objects('uses') as $use) {
            $use->only(['name', 'count', 'needs']);
            $uses[] = ['name' => $use->text('name'), 'count' => $use->number('count', 1.0), 'needs' => $amounts($use->object('needs'))];
        }

        return Budget::of($amounts($in->object('available')), $uses);
    }
}
