<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

use Lustrum\Core\CoreException;
use Lustrum\Core\Wording\WorkingWords;
use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Entry;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\FieldKind;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Solve;
use Lustrum\Core\Working\Sweep;
use Lustrum\Core\Working\TypedSum;
use Lustrum\Core\Working\Typing;
use Lustrum\Core\Working\Work;
use Lustrum\Core\Working\Worked;
use Lustrum\Domain\Trial\Found;
use Lustrum\Domain\Working\Sums;
use Lustrum\Domain\Working\WorkInput;
use Lustrum\Shared\Refusal\Invalid;

/** Works a sum out as it is typed: what is wrong stands at its field, and what can be answered is. */
final class Bench
{
    /** @throws Invalid where there is no such sum */
    public static function work(WorkInput $input): WorkedSheet
    {
        $texts = array_column($input->inputs, 'text', 'name');
        $sum = TypedSum::of(Sums::of($input->sum, $input->own), $texts);
        [$work, $about, $entered] = [$sum->work, $sum->work->about, $sum->entered];
        if ($sum->problems !== []) {
            // What is missing is not said as long as somebody is still typing: the field says that it is needed.
            $typed = array_filter(
                $sum->problems, static fn (CoreException $e, string $name): bool => trim($texts[$name] ?? '') !== '',
                \ARRAY_FILTER_USE_BOTH,
            );

            return new WorkedSheet([], self::found($typed), '');
        }
        $output = $about->output($input->output) ?? $about->outputs[0];
        $unit = trim($input->unit) === '' ? $output->shown : trim($input->unit);
        try {
            $answers = $work->out($entered, [$output->name => $unit] + $about->shown());
        } catch (CoreException $e) {
            $at = explode('/', $e->path);

            return ($at[0] === 'inputs' && isset($at[1])) || $at[0] === 'units'
                ? new WorkedSheet([], [new Found($at[0] === 'units' ? 'unit' : $at[1] ?? '', $e->getMessage())], '') : new WorkedSheet(
                    [], [], $e->getMessage(),
                );
        }

        return self::drawn(
            $work, $entered->given, $output, $unit, $input, self::rows($work, $answers, self::shown($about, $sum->entries)),
            $texts,
        );
    }

    /**
     * @param list<AnswerRow>       $rows
     * @param array<string, string> $texts
     */
    private static function drawn(Work $work, Given $given, Output $output, string $unit, WorkInput $input, array $rows, array $texts): WorkedSheet
    {
        $field = $work->about->field($input->along);
        if ($field === null || $field->kind !== FieldKind::One) {
            return new WorkedSheet($rows, [], '', self::sentence($rows, $output));
        }
        $own = self::unitOf($texts[$field->name] ?? '', $field);
        $sweep = Sweep::of($work, $given, $field, $own, $output, $unit);
        $axis = implode(', ', array_filter([$field->words, WorkingWords::unit($own)]));
        $limit = null;
        $found = [];
        [$solved, $solvedAs, $bought, $boughtAs] = ['', '', '', ''];
        if (trim($input->wanted) !== '') {
            try {
                $wanted = Typing::one($input->wanted, $unit);
                [$si] = $wanted->si($output->unit);
                $limit = Entry::said($si, $output->unit, $unit);
                $x = Solve::input($work, $given, $output->name, $si, $field);
                $solvedAs = self::typed($x, $field, $own);
                $solved = WorkingWords::solved($field->words, $solvedAs, WorkingWords::value($limit, null, $unit));
                $nearest = $field->stock?->nearest($x);
                if ($nearest !== null) {
                    $gives = $work->si($given->with($field->name, $nearest))[$output->name] ?? null;
                    $boughtAs = self::typed($nearest, $field, $own);
                    $bought = is_float($gives) ? WorkingWords::bought($boughtAs, WorkingWords::value(Entry::said($gives, $output->unit, $unit), null, $unit)) : '';
                }
            } catch (CoreException $e) {
                $found[] = new Found('wanted', $e->getMessage());
            }
        }

        return new WorkedSheet(
            $rows, $found, '', trim(self::sentence($rows, $output).' '.$solved), array_column($sweep->points ?? [], 0),
            array_column($sweep->points ?? [], 1), $sweep?->stands, $limit, $axis, $solved,
            $solvedAs, $bought, $boughtAs,
        );
    }

    /** @param list<AnswerRow> $rows */
    private static function sentence(array $rows, Output $output): string
    {
        $row = array_column($rows, null, 'name')[$output->name] ?? null;

        return $row === null ? '' : trim(WorkingWords::open($row->words, $row->text).' '.$row->parts);
    }

    /**
     * @param list<Worked>          $answers
     * @param array<string, string> $texts
     *
     * @return list<AnswerRow>
     */
    private static function rows(Work $work, array $answers, array $texts): array
    {
        $said = $bare = [];
        foreach ($answers as $one) {
            $said[$one->name] = WorkingWords::answer($one);
            // In a formula stands what it is worked out with, not how sure that is.
            $bare[$one->name] = is_float($one->value) ? WorkingWords::value($one->value, null, $one->unit) : '';
        }
        $out = [];
        foreach ($answers as $one) {
            $output = $work->about->output($one->name);
            if ($output !== null) {
                $out[] = new AnswerRow(
                    $one->name, $output->words, $said[$one->name], $output->formula,
                    WorkingWords::putIn($output, $work->about, $texts, $bare),
                    WorkingWords::parts($one, $work->about), is_float($one->value) ? $one->value : null, $one->u, $one->unit,
                );
            }
        }

        return $out;
    }

    /**
     * As they are put into a formula: without what they are unsure by, and what is taken where nothing was given.
     *
     * @param array<string, Entry|list<Entry>|string> $entries
     *
     * @return array<string, string>
     */
    private static function shown(About $about, array $entries): array
    {
        $out = [];
        foreach ($about->inputs as $field) {
            if (is_float($field->default)) {
                $out[$field->name] = WorkingWords::value($field->default, null, $field->unit);
            }
        }
        foreach ($entries as $name => $entry) {
            if ($entry instanceof Entry) {
                $out[$name] = WorkingWords::value($entry->value, null, $entry->unit);
            }
        }

        return $out;
    }

    /**
     * @param array<string, CoreException> $problems
     *
     * @return list<Found>
     */
    private static function found(array $problems): array
    {
        return array_values(array_map(
            static fn (string $name, CoreException $e): Found => new Found($name, $e->getMessage()), array_keys($problems),
            $problems,
        ));
    }

    /** The unit in which somebody typed it. */
    private static function unitOf(string $text, Field $field): string
    {
        try {
            return trim($text) === '' ? $field->unit : Typing::one($text, $field->unit)->unit;
        } catch (CoreException) {
            return $field->unit;
        }
    }

    private static function typed(float $si, Field $field, string $unit): string
    {
        return WorkingWords::value(Entry::said($si, $field->unit, $unit), null, $unit);
    }
}
