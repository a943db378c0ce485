<?php

declare(strict_types=1);

namespace Lustrum\Core\Formula;

use Lustrum\Core\Quantity\Dimension;
use Lustrum\Core\Quantity\Unit;
use Lustrum\Core\Quantity\UnitMismatch;
use Lustrum\Core\Quantity\Units;
use Symfony\Component\ExpressionLanguage\ExpressionLanguage;
use Symfony\Component\ExpressionLanguage\Node\Node;
use Symfony\Component\ExpressionLanguage\SyntaxError;

/**
 * A formula with units: read once, its dimensions checked before anything is worked out, and worked out with its
 * standard uncertainty (JCGM 100:2008, 5.1.2: first order, inputs independent).
 *
 * The tree is symfony/expression-language's; only the nodes named in Walk are walked, so that nothing of PHP is in reach.
 */
final class Formula
{
    private const MOST_KEPT = 200;
    public const MOST_CHARACTERS = 500;
    public const MOST_DEPTH = 40;

    /** @var array<string, self> formulas that were read already: reading costs more than working out, and is pure */
    private static array $known = [];

    private static ?ExpressionLanguage $language = null;

    /** @var array<string, true> units of variables that fit together: that does not depend on values */
    private array $fitting = [];

    private function __construct(
        public readonly string $expression,
        private readonly Node $tree,
    ) {
    }

    /**
     * @param list<string> $names of the variables
     *
     * @throws InvalidFormula
     */
    public static function read(string $expression, array $names): self
    {
        $key = implode(',', $names).'|'.$expression;
        if (count(self::$known) >= self::MOST_KEPT) {
            self::$known = [];
        }

        return self::$known[$key] ??= self::parse($expression, $names);
    }

    /** @param list<string> $names */
    private static function parse(string $expression, array $names): self
    {
        if (mb_strlen($expression) > self::MOST_CHARACTERS) {
            throw InvalidFormula::syntax(sprintf('it is longer than %d characters.', self::MOST_CHARACTERS));
        }
        $text = strtr(
            $expression,
            ['−' => '-', '·' => '*', '×' => '*', '÷' => '/', '^' => '**', '²' => '**2', '³' => '**3', '≤' => '<=', '≥' => '>='],
        );
        if (trim($text) === '') {
            throw InvalidFormula::syntax('it is empty.');
        }
        // The language's own functions look outside; they are not known here.
        foreach (['constant', 'enum'] as $function) {
            if (preg_match('/\b'.$function.'\s*\(/', $text) === 1) {
                throw InvalidFormula::notAllowed($function.'()');
            }
        }
        try {
            $tree = self::language()->parse($text, [...$names, ...array_keys(Walk::CONSTANTS)])->getNodes();
        } catch (SyntaxError $e) {
            if (preg_match('/^Variable "([^"]+)" is not valid/', $e->getMessage(), $m) === 1) {
                throw InvalidFormula::variable($m[1]);
            }
            throw InvalidFormula::syntax(lcfirst(preg_replace('/ around position.*$/s', '', $e->getMessage()) ?? '').'.');
        } catch (\Throwable) {
            throw InvalidFormula::syntax('its parts do not fit together.');
        }

        return new self($expression, $tree);
    }

    private static function language(): ExpressionLanguage
    {
        if (self::$language === null) {
            self::$language = new ExpressionLanguage();
            foreach (Walk::FUNCTIONS as $function) {
                self::$language->register($function, static fn (): string => '', static fn (): int => 0);
            }
        }

        return self::$language;
    }

    /**
     * The dimension of the result.
     *
     * @param array<string, string> $units variable => unit
     */
    public function dimension(array $units): Dimension
    {
        // Ones in every unit: dimensions do not depend on values, and what is undefined for a one is no matter here.
        $variables = [];
        foreach ($units as $name => $unit) {
            $variables[$name] = Variable::of(1.0, $unit);
        }

        return (new Walk($variables, true))->term($this->tree)->dimension;
    }

    /**
     * Value and standard uncertainty in a unit; in the SI unit of the result where none is named.
     *
     * @param array<string, Variable> $variables
     *
     * @throws InvalidFormula|UnitMismatch
     */
    public function evaluate(array $variables, ?string $unit = null): Result
    {
        $this->mustFit($variables);
        $term = (new Walk($variables, false))->term($this->tree);
        $variance = 0.0;
        foreach ($term->slopes as $name => $slope) {
            $variance += ($slope * $variables[$name]->u) ** 2;
        }
        if ($unit === null) {
            return new Result($term->value, $term->dimension->siUnit(), sqrt($variance));
        }
        $target = Units::parse($unit);
        $this->mustMeasure($term, $target);
        $radians = Turning::radians($target);

        return new Result($target->fromSi($term->value / $radians), $target->symbol, sqrt($variance) / $radians / $target->factor);
    }

    /**
     * Can the result be given in this unit?
     *
     * @param array<string, string> $units of the variables
     *
     * @throws InvalidFormula|UnitMismatch
     */
    public function mustGive(array $units, string $unit): void
    {
        $variables = array_map(static fn (string $u): Variable => Variable::of(1.0, $u), $units);
        $this->mustMeasure((new Walk($variables, true))->term($this->tree), Units::parse($unit));
    }

    /** @throws InvalidFormula|UnitMismatch */
    private function mustMeasure(Term $term, Unit $target): void
    {
        if (!$target->dimension->plain()->equals($term->dimension->plain())) {
            throw UnitMismatch::between($target->symbol, $target->measures(), '', $term->dimension->name());
        }
        $wanted = Turning::of($target);
        if ($wanted !== null && $term->turning !== null && $wanted !== $term->turning) {
            throw InvalidFormula::dimensions($this->expression, sprintf(
                'this is %s, and %s is %s: a turn is 2π radians. Write the 2*pi between them.',
                self::turning($term->turning), $target->symbol, self::turning($wanted),
            ));
        }
    }

    private static function turning(Turning $turning): string
    {
        return $turning === Turning::Angular ? 'an angular speed' : 'a frequency';
    }

    /**
     * @param array<string, Variable> $variables
     *
     * @throws InvalidFormula
     */
    private function mustFit(array $variables): void
    {
        $units = '';
        foreach ($variables as $name => $variable) {
            $units .= $name.($variable->series ? '[] ' : ' ').$variable->unit->symbol."\n";
        }
        if (!isset($this->fitting[$units])) {
            (new Walk($variables, true))->term($this->tree);
            $this->fitting = [$units => true] + array_slice($this->fitting, 0, self::MOST_KEPT);
        }
    }
}
