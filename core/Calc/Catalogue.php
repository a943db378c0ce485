<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\CoreException;
use Lustrum\Core\InvalidInput;

/** All operations by name. */
final class Catalogue
{
    private const GROUPS = [
        QuantityOperations::class, FormulaOperations::class, StatisticsOperations::class, InferenceOperations::class, LifeOperations::class,
        CurveOperations::class, PlanOperations::class, EvidenceOperations::class, FootingOperations::class, ChangeOperations::class,
        AlikeOperations::class, CheckOperations::class, WorkingOperations::class,
    ];

    /** @var array<string, Operation>|null */
    private static ?array $operations = null;

    /** @return array<string, Operation> */
    public static function operations(): array
    {
        if (self::$operations === null) {
            self::$operations = [];
            foreach (self::GROUPS as $group) {
                foreach ($group::operations() as $operation) {
                    self::$operations[$operation->name] = $operation;
                }
            }
        }

        return self::$operations;
    }

    /**
     * Answers one request of `lustrum:calc`.
     *
     * @return array{op: string, ok: bool, output?: array<string, mixed>, error?: array{code: string, message: string, path: string}}
     */
    public static function answer(mixed $request): array
    {
        $op = is_array($request) && is_string($request['op'] ?? null) ? $request['op'] : '';
        try {
            if (!is_array($request)) {
                throw InvalidInput::because('A line is an object with op and input.');
            }
            $operation = self::operations()[$op] ?? throw new InvalidInput(
                'op.unknown', sprintf('There is no operation “%s”; lustrum:calc --list names them all.', mb_substr($op, 0, 60)), 'op',
            );
            $input = $request['input'] ?? [];

            return [
                'op' => $op, 'ok' => true,
                'output' => $operation->answer(is_array($input) ? $input : throw InvalidInput::because('The input is an object.', 'input')),
            ];
        } catch (CoreException $e) {
            return ['op' => $op, 'ok' => false, 'error' => ['code' => $e->problem, 'message' => $e->getMessage(), 'path' => $e->path]];
        }
    }
}
