<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\Harder;
use Lustrum\Shared\Refusal\Invalid;

/** The factors and blocks of a method, checked against each other when it is written. */
final class SoundFactors
{
    /**
     * @param list<FactorInput> $inputs
     *
     * @return list<Factor>
     *
     * @throws Invalid at the field that is wrong
     */
    public static function of(array $inputs): array
    {
        $out = $names = [];
        foreach ($inputs as $i => $input) {
            $factor = $input->factor();
            if (isset($names[mb_strtolower($factor->name)])) {
                throw self::invalid($i, 'name', 'Two factors cannot have the same name.');
            }
            $names[mb_strtolower($factor->name)] = true;
            self::mustBeSound($factor, $i);
            self::mustBeOnce($factor, $i);
            $out[] = $factor;
        }

        return $out;
    }

    /** @throws Invalid where two levels are one, however they are written */
    private static function mustBeOnce(Factor $factor, int $i): void
    {
        $known = [];
        foreach ($factor->levels as $level) {
            $key = $factor->level($level)->key ?? mb_strtolower($level);
            if (isset($known[$key])) {
                throw self::invalid($i, 'levels', sprintf('“%s” and “%s” are one level.', $known[$key], $level));
            }
            $known[$key] = $level;
        }
    }

    private static function mustBeSound(Factor $factor, int $i): void
    {
        if ($factor->harder !== Harder::None && ($factor->isBlock() || $factor->kind === FactorKind::Words)) {
            throw self::invalid($i, 'harder', 'Only numbers and ordered words of a factor have a harder end.');
        }
        if ($factor->climbs && count($factor->levels) < 2) {
            throw self::invalid($i, 'levels', 'Where levels wait for each other, write them down.');
        }
        if ($factor->climbs && $factor->harder === Harder::None) {
            throw self::invalid($i, 'climbs', 'Which end is harder? Only then one level can wait for another.');
        }
        if ($factor->kind === FactorKind::Ordered && count($factor->levels) < 2) {
            throw self::invalid($i, 'levels', 'Ordered words are written down in their order, the lowest first.');
        }
        if ($factor->kind !== FactorKind::Number) {
            return;
        }
        try {
            Units::parse($factor->unit === '' ? '1' : $factor->unit);
            array_map($factor->read(...), $factor->levels);
        } catch (CoreException $e) {
            throw self::invalid($i, 'levels', $e->getMessage());
        }
    }

    private static function invalid(int $i, string $field, string $sentence): Invalid
    {
        return Invalid::at(sprintf('factors[%d].%s', $i, $field), $sentence);
    }
}
