<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

use Lustrum\Core\Formula\Formula;
use Lustrum\Core\Formula\Variable;

/** A sum that somebody typed: a formula with its units. */
final readonly class OwnSum implements Working
{
    /** Of the answer. */
    public const RESULT = 'result';

    /**
     * @param list<array{name: string, words: string, unit: string}> $variables
     * @param string                                                 $unit      of the answer; '1' for a plain number
     */
    private function __construct(
        private string $title,
        private string $expression,
        private Formula $formula,
        private string $unit,
        private array $variables,
        private string $note,
    ) {
    }

    /**
     * @param list<array{name: string, words: string, unit: string}> $variables
     *
     * @throws \Lustrum\Core\CoreException where it is no formula, or does not give that unit
     */
    public static function of(string $title, string $expression, string $unit, array $variables, string $note = ''): self
    {
        $unit = $unit === '' ? '1' : $unit;
        $variables = array_map(static fn (array $v): array => ['unit' => $v['unit'] === '' ? '1' : $v['unit']] + $v, $variables);
        $formula = Formula::read($expression, array_column($variables, 'name'));
        $formula->mustGive(array_column($variables, 'unit', 'name'), $unit);

        return new self($title, $expression, $formula, $unit, $variables, $note);
    }

    public function about(): About
    {
        return new About(
            $this->title, 'A sum of the workshop’s own.', [$this->title],
            array_map(static fn (array $v): Field => Field::any(
                $v['name'], $v['words'] === '' ? $v['name'] : $v['words'], $v['name'], $v['unit'],
            ), $this->variables),
            [Output::of(self::RESULT, $this->title, '', $this->unit, 'answer = '.$this->expression)],
            'Typed in this workshop; nobody else has checked it.', $this->note === '' ? 'Nobody has said what it leaves out.' : $this->note,
        );
    }

    public function work(Given $in): array
    {
        $given = [];
        foreach ($this->variables as $v) {
            $given[$v['name']] = Variable::si($in->the($v['name']), $v['unit']);
        }
        $value = $this->formula->evaluate($given, $this->unit)->value;

        return [self::RESULT => (new Entry($value, $this->unit))->si($this->unit)[0]];
    }
}
