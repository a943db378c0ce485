<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Formula\Formula;
use Lustrum\Core\Formula\Variable;
use Lustrum\Core\InvalidInput;

final class FormulaOperations implements OperationGroup
{
    public static function operations(): array
    {
        return [
            new Operation('formula.check', 'The unit and dimension of a formula, before anything is worked out.',
                ['expression' => 'text', 'variables' => 'name: unit'],
                ['unit' => 'in the SI', 'dimension' => 'name'],
                static function (Input $in): array {
                    $units = $in->textMap('variables');
                    $dimension = Formula::read($in->text('expression'), array_keys($units))->dimension($units);

                    return ['unit' => $dimension->siUnit(), 'dimension' => $dimension->name()];
                }),
            new Operation('formula.evaluate', 'Works a formula out, with its standard uncertainty.',
                [
                    'expression' => 'text', 'variables' => 'name: value (or a list of values), unit, u, resolution',
                    'unit?' => 'wanted for the result',
                ],
                ['value' => '', 'unit' => '', 'u' => 'standard uncertainty'],
                static function (Input $in): array {
                    $variables = [];
                    foreach ($in->map('variables') as $name => $v) {
                        $v->only(['value', 'unit', 'u', 'resolution']);
                        $series = $v->hasList('value') ? $v->numbers('value') : null;
                        if ($series === []) {
                            throw InvalidInput::because('A series holds at least one value.', $v->at('value'));
                        }
                        if ($v->has('u') && $v->number('u') < 0) {
                            throw InvalidInput::because('An uncertainty is not below nought.', $v->at('u'));
                        }
                        $variables[$name] = $series === null
                            ? Variable::of($v->number('value'), $v->text('unit'), $v->numberOrNull('u'), $v->numberOrNull('resolution'))
                            : Variable::series($series, $v->text('unit'), $v->number('u', 0));
                    }

                    return get_object_vars(
                        Formula::read(
                            $in->text('expression'), array_map(strval(...), array_keys($variables)),
                        )->evaluate($variables, $in->textOrNull('unit')),
                    );
                }),
        ];
    }
}
