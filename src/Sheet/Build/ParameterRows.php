<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Core\CoreException;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\ParameterChange;
use Lustrum\Core\Run\Followed;
use Lustrum\Core\Run\Parameter as Fact;
use Lustrum\Core\Wording\BuildWords;
use Lustrum\Core\Wording\Messages;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\ParameterView;

/** The parameters of a build beside its parent's. */
final class ParameterRows
{
    /**
     * @param list<Parameter>      $here
     * @param list<Parameter>|null $parent null for a first build
     *
     * @return list<ParameterRow>
     */
    public static function of(array $here, ?array $parent): array
    {
        $before = [];
        foreach ($parent ?? [] as $old) {
            $before[$old->name()] = $old->view();
        }
        $facts = array_map(static fn (Parameter $p): Fact => $p->asFact(), $here);
        $rows = [];
        foreach ($here as $parameter) {
            $view = $parameter->view();
            $old = $before[$view->name] ?? null;
            unset($before[$view->name]);
            $row = $old === null ? new ParameterRow(
                $view->name, $view, null, null, null, $parent === null ? 'same' : 'new',
            ) : self::row($view, $old);
            $rows[] = $row->not(self::problem($view, $facts));
        }
        foreach ($before as $name => $gone) {
            $rows[] = new ParameterRow((string) $name, null, $gone->measure, null, null, 'gone');
        }

        return $rows;
    }

    /**
     * The same as the variant that was chosen makes it.
     *
     * @param list<ParameterRow> $rows
     *
     * @return list<ParameterRow>
     */
    public static function chosen(array $rows, Build $build): array
    {
        $own = array_column($build->arms[$build->chosenArm] ?? [], null, 'name');
        $written = array_column($build->parameters, null, 'name');
        foreach ($rows as $i => $row) {
            $chosen = $own[$row->name] ?? null;
            unset($own[$row->name]);
            if ($chosen !== null && !($written[$row->name] ?? null)?->equals($chosen)) {
                $rows[$i] = $row->chosen($chosen->text(), BuildWords::chosen($build->chosenArm, $row->here?->measure->text ?? ''));
            }
        }
        foreach ($own as $name => $chosen) {
            $rows[] = new ParameterRow(
                (string) $name, null, null, null, null, 'new', '', $chosen->text(), BuildWords::chosen($build->chosenArm, ''),
            );
        }

        return array_values($rows);
    }

    /**
     * What it was worked out from may be gone, or be something else by now.
     *
     * @param list<Fact> $facts all parameters of the build
     */
    private static function problem(ParameterView $view, array $facts): string
    {
        if ($view->formula === '') {
            return '';
        }
        $others = array_values(array_filter($facts, static fn (Fact $f): bool => $f->name !== $view->name));
        try {
            Followed::value($view->name, $view->formula, $view->formulaUnit, $others);
        } catch (CoreException $wrong) {
            return BuildWords::followsNoMore($wrong->getMessage());
        }

        return '';
    }

    private static function row(ParameterView $here, ParameterView $old): ParameterRow
    {
        if ($here->words !== '' || $old->words !== '') {
            $isSame = mb_strtolower($here->words) === mb_strtolower($old->words);

            return new ParameterRow($here->name, $here, $old->measure, null, null, $isSame ? 'same' : 'changed');
        }
        try {
            $change = ParameterChange::of($old->measure->quantity(), $here->measure->quantity());
        } catch (CoreException) {
            return new ParameterRow($here->name, $here, $old->measure, Messages::say('build.otherKind'), null, 'changed');
        }
        if ($change === null) {
            return new ParameterRow($here->name, $here, $old->measure, null, null, 'same');
        }

        return new ParameterRow(
            $here->name, $here, $old->measure, BuildWords::difference($change->difference, $change->decimals, $here->measure->unit),
            $change->percent === null ? null : BuildWords::percent($change->percent), 'changed',
        );
    }
}
