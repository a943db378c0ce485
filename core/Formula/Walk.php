<?php

declare(strict_types=1);

namespace Lustrum\Core\Formula;

use Lustrum\Core\Quantity\Dimension;
use Symfony\Component\ExpressionLanguage\Node\ArgumentsNode;
use Symfony\Component\ExpressionLanguage\Node\BinaryNode;
use Symfony\Component\ExpressionLanguage\Node\ConstantNode;
use Symfony\Component\ExpressionLanguage\Node\FunctionNode;
use Symfony\Component\ExpressionLanguage\Node\NameNode;
use Symfony\Component\ExpressionLanguage\Node\Node;
use Symfony\Component\ExpressionLanguage\Node\UnaryNode;

/**
 * Walks the tree of a formula and works each part out with its dimension and slopes.
 *
 * @internal use Formula
 */
final class Walk
{
    public const FUNCTIONS = [
        'min', 'max', 'abs', 'sqrt', 'exp', 'ln', 'log10', 'sin', 'cos', 'tan', 'asin', 'acos', 'atan', 'atan2', 'mean', 'sd', 'first',
        'last', 'peak',
    ];

    /** Value and SI exponents. */
    public const CONSTANTS = ['pi' => [M_PI, []], 'g0' => [9.80665, [0, 1, -2]]];

    private int $depth = 0;

    /**
     * @param array<string, Variable> $variables
     * @param bool                    $onlyDimensions values are of no matter: nothing is undefined
     */
    public function __construct(
        private readonly array $variables,
        private readonly bool $onlyDimensions,
    ) {
    }

    public function term(Node $node): Term
    {
        if (++$this->depth > Formula::MOST_DEPTH) {
            throw InvalidFormula::syntax(sprintf('it is nested deeper than %d levels.', Formula::MOST_DEPTH));
        }
        $term = match (true) {
            $node instanceof ConstantNode => $this->constant($node->attributes['value']),
            $node instanceof NameNode => $this->name((string) $node->attributes['name']),
            $node instanceof UnaryNode => $this->unary($node),
            $node instanceof BinaryNode => $this->binary($node),
            $node instanceof FunctionNode => $this->call($node),
            default => throw InvalidFormula::notAllowed('This part'),
        };
        --$this->depth;
        if (!$this->onlyDimensions && !is_finite($term->value)) {
            throw InvalidFormula::undefined($node->dump());
        }

        return $term;
    }

    private function constant(mixed $value): Term
    {
        return is_int($value) || is_float($value) ? new Term(
            (float) $value, Dimension::of([]),
        ) : throw InvalidFormula::notAllowed('A text');
    }

    private function name(string $name): Term
    {
        if (isset($this->variables[$name])) {
            $variable = $this->variables[$name];
            if ($variable->series) {
                throw InvalidFormula::dimensions($name, 'this is a series; take its mean, sd, first, last or peak.');
            }

            $radians = Turning::radians($variable->unit);

            return new Term(
                $variable->values[0] * $radians, $variable->unit->dimension->plain(), [$name => $radians],
                Turning::of($variable->unit), false, Turning::isRpm($variable->unit),
            );
        }
        [$value, $exponents] = self::CONSTANTS[$name] ?? throw InvalidFormula::variable($name);

        return new Term($value, Dimension::of($exponents), [], null, $name === 'pi');
    }

    private function unary(UnaryNode $node): Term
    {
        $term = $this->term($node->nodes['node']);

        return match ($node->attributes['operator']) {
            '-' => $term->map(-$term->value, -1.0, $term->dimension)->counting($term->turning, $term->byPi, $term->byRpm),
            '+' => $term,
            default => throw InvalidFormula::notAllowed('“'.$node->attributes['operator'].'”'),
        };
    }

    private function binary(BinaryNode $node): Term
    {
        $operator = (string) $node->attributes['operator'];
        $a = $this->term($node->nodes['left']);
        if ($operator === '**') {
            return $this->power($a, $node);
        }
        $b = $this->term($node->nodes['right']);
        if (in_array($operator, ['+', '-', '<', '>', '<=', '>=', '==', '!='], true)) {
            $this->mustBeAlike($a, $b, $node);
        }

        return match ($operator) {
            '+' => self::sum($a, $b, $a->with($b, $a->value + $b->value, 1.0, 1.0, $a->dimension)),
            '-' => self::sum($a, $b, $a->with($b, $a->value - $b->value, 1.0, -1.0, $a->dimension)),
            '*' => $this->product($a, $b, $node),
            '/' => $this->quotient($a, $b, $node),
            '<' => self::truth($a->value < $b->value),
            '>' => self::truth($a->value > $b->value),
            '<=' => self::truth($a->value <= $b->value),
            '>=' => self::truth($a->value >= $b->value),
            '==' => self::truth($a->value === $b->value),
            '!=' => self::truth($a->value !== $b->value),
            default => throw InvalidFormula::notAllowed('“'.$operator.'”'),
        };
    }

    private static function sum(Term $a, Term $b, Term $sum): Term
    {
        return $sum->counting($a->turning ?? $b->turning, false, $a->byRpm || $b->byRpm);
    }

    private function product(Term $a, Term $b, BinaryNode $node): Term
    {
        if (($a->byPi && $b->byRpm) || ($a->byRpm && $b->byPi)) {
            throw InvalidFormula::dimensions($node->dump(), 'rpm carries 2π already: write n*r, or give n in Hz.');
        }

        return $a->with($b, $a->value * $b->value, $b->value, $a->value, $a->dimension->times($b->dimension))->times($a, $b);
    }

    private function quotient(Term $a, Term $b, BinaryNode $node): Term
    {
        $dimension = $a->dimension->times($b->dimension->power(-1));
        if ($b->value === 0.0) {
            return $this->onlyDimensions ? new Term(1.0, $dimension) : throw InvalidFormula::undefined($node->dump());
        }

        return $a->with($b, $a->value / $b->value, 1 / $b->value, -$a->value / $b->value ** 2, $dimension)->times($a, $b);
    }

    private function power(Term $base, BinaryNode $node): Term
    {
        $exponent = $this->term($node->nodes['right']);
        $this->mustBeRatio($exponent, $node);
        if ($base->dimension->isRatio()) {
            $value = $base->value ** $exponent->value;

            return $base->with(
                $exponent, $value, $exponent->value * $base->value ** ($exponent->value - 1),
                $base->value > 0 ? $value * log($base->value) : 0.0, $base->dimension,
            );
        }
        if ($exponent->slopes !== []) {
            throw InvalidFormula::dimensions($node->dump(), 'the exponent of something with a unit must be a plain number.');
        }
        $dimension = self::root($base->dimension, $exponent->value) ?? throw InvalidFormula::dimensions(
            $node->dump(), sprintf('%s to the power of %g has no unit.', $base->dimension->name(), $exponent->value),
        );

        return $base->map($base->value ** $exponent->value, $exponent->value * $base->value ** ($exponent->value - 1), $dimension);
    }

    private function call(FunctionNode $node): Term
    {
        $name = (string) $node->attributes['name'];
        $arguments = $node->nodes['arguments'];
        $nodes = $arguments instanceof ArgumentsNode || $arguments instanceof Node ? array_values($arguments->nodes) : [];
        if (in_array($name, ['mean', 'sd', 'first', 'last', 'peak', 'min', 'max'], true)) {
            return $this->overMany($name, $nodes, $node);
        }
        if ($name === 'atan2') {
            if (count($nodes) !== 2) {
                throw InvalidFormula::syntax('atan2 takes two values.');
            }
            [$y, $x] = [$this->term($nodes[0]), $this->term($nodes[1])];
            $this->mustBeAlike($y, $x, $node);
            $square = $y->value ** 2 + $x->value ** 2 ?: 1.0;

            return $y->with($x, atan2($y->value, $x->value), $x->value / $square, -$y->value / $square, Dimension::of([]));
        }
        if (count($nodes) !== 1) {
            throw InvalidFormula::syntax($name.' takes one value.');
        }

        return $this->ofOne($name, $this->term($nodes[0]), $node);
    }

    private function ofOne(string $name, Term $x, FunctionNode $node): Term
    {
        $v = $x->value;
        if ($name === 'abs') {
            return $x->map(abs($v), $v < 0 ? -1.0 : 1.0, $x->dimension)->counting($x->turning, false, $x->byRpm);
        }
        if ($name === 'sqrt') {
            $dimension = self::root($x->dimension, 0.5) ?? throw InvalidFormula::dimensions(
                $node->dump(), sprintf('a root of %s has no unit.', $x->dimension->name()),
            );

            return $x->map($v < 0 ? NAN : sqrt($v), $v > 0 ? 0.5 / sqrt($v) : 0.0, $dimension);
        }
        $this->mustBeRatio($x, $node);
        [$value, $slope] = match ($name) {
            'exp' => [exp($v), exp($v)],
            'ln' => [$v > 0 ? log($v) : NAN, $v > 0 ? 1 / $v : 0.0],
            'log10' => [$v > 0 ? log10($v) : NAN, $v > 0 ? 1 / ($v * M_LN10) : 0.0],
            'sin' => [sin($v), cos($v)],
            'cos' => [cos($v), -sin($v)],
            'tan' => [tan($v), 1 + tan($v) ** 2],
            'asin' => [asin($v), abs($v) < 1 ? 1 / sqrt(1 - $v * $v) : 0.0],
            'acos' => [acos($v), abs($v) < 1 ? -1 / sqrt(1 - $v * $v) : 0.0],
            'atan' => [atan($v), 1 / (1 + $v * $v)],
            default => throw InvalidFormula::notAllowed($name.'()'),
        };

        return $x->map($value, $slope, Dimension::of([]));
    }

    /** @param list<Node> $nodes one series, or several values */
    private function overMany(string $name, array $nodes, FunctionNode $node): Term
    {
        $only = $nodes[0] ?? throw InvalidFormula::syntax($name.' takes at least one value.');
        $series = $only instanceof NameNode ? $this->variables[(string) $only->attributes['name']] ?? null : null;
        if (count($nodes) === 1 && $series !== null && $series->series) {
            $key = (string) $only->attributes['name'];
            $dimension = $series->unit->dimension->plain();
            $radians = Turning::radians($series->unit);
            $terms = array_map(static fn (float $v): Term => new Term($v * $radians, $dimension), $series->values);
            [$value, $weights] = self::reduce($name, $terms);
            $slope = $radians * sqrt(array_sum(array_map(static fn (float $w): float => $w * $w, $weights)));

            // Each value of a series has the same independent uncertainty.
            return new Term($value, $dimension, [$key => $slope], Turning::of($series->unit), false, Turning::isRpm($series->unit));
        }
        $terms = array_map($this->term(...), $nodes);
        foreach ($terms as $term) {
            $this->mustBeAlike($terms[0], $term, $node);
        }
        [$value, $weights] = self::reduce($name, $terms);
        $sum = new Term(0.0, $terms[0]->dimension);
        foreach ($terms as $i => $term) {
            $sum = $sum->with($term, $value, 1.0, $weights[$i], $terms[0]->dimension);
        }

        return $sum->counting($terms[0]->turning, false, $terms[0]->byRpm);
    }

    /**
     * @param non-empty-list<Term> $terms
     *
     * @return array{float, list<float>} value, and its derivative by each
     */
    private static function reduce(string $name, array $terms): array
    {
        $values = array_map(static fn (Term $t): float => $t->value, $terms);
        $n = count($values);
        $mean = array_sum($values) / $n;
        $one = static fn (int $at): array => array_map(static fn (int $i): float => $i === $at ? 1.0 : 0.0, range(0, $n - 1));
        if ($name === 'sd') {
            $sd = $n < 2 ? NAN : sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values)) / ($n - 1));

            return [$sd, array_map(static fn (float $v): float => $sd > 0 ? ($v - $mean) / (($n - 1) * $sd) : 0.0, $values)];
        }
        $at = match ($name) {
            'first' => 0,
            'last' => $n - 1,
            'min' => (int) array_search(min($values), $values, true),
            'max' => (int) array_search(max($values), $values, true),
            'peak' => (int) array_search(max(array_map(abs(...), $values)), array_map(abs(...), $values), true),
            default => null,
        };

        return $at === null ? [$mean, array_fill(0, $n, 1 / $n)] : [$values[$at], $one($at)];
    }

    private function mustBeAlike(Term $a, Term $b, Node $node): void
    {
        if (!$a->dimension->equals($b->dimension)) {
            throw InvalidFormula::dimensions(
                $node->dump(), sprintf('%s and %s cannot be added or compared.', $a->dimension->name(), $b->dimension->name()),
            );
        }
        if ($a->turning !== null && $b->turning !== null && $a->turning !== $b->turning) {
            throw InvalidFormula::dimensions(
                $node->dump(), 'one is an angular speed and one a frequency, and a turn is 2π radians. Give both as one of them.',
            );
        }
    }

    private function mustBeRatio(Term $x, Node $node): void
    {
        if (!$x->dimension->isRatio()) {
            throw InvalidFormula::dimensions(
                $node->dump(), sprintf('a plain number or an angle is wanted, not %s.', $x->dimension->name()),
            );
        }
    }

    private static function root(Dimension $dimension, float $exponent): ?Dimension
    {
        $out = [];
        foreach ($dimension->exponents as $e) {
            $power = $e * $exponent;
            if (abs($power - round($power)) > 1e-9) {
                return null;
            }
            $out[] = (int) round($power);
        }

        return Dimension::of($out);
    }

    private static function truth(bool $is): Term
    {
        return new Term($is ? 1.0 : 0.0, Dimension::of([]));
    }
}
