<?php

declare(strict_types=1);

namespace Lustrum\Core\Threshold;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\NoValues;

/**
 * Share held against level, by logistic regression with Firth's penalty (1993, Biometrika 80, 27), which stays finite
 * where outcomes separate cleanly (Heinze and Schemper 2002) (`threshold.logit`).
 */
final readonly class Logit
{
    private function __construct(
        public float $level50,
        public float $se,
        public float $slope,
        private float $intercept,
    ) {
    }

    /**
     * @param list<float> $levels
     * @param list<int>   $held
     * @param list<int>   $tried
     *
     * @throws InvalidInput|NotEstimable
     */
    public static function of(array $levels, array $held, array $tried): self
    {
        if ($levels === []) {
            throw NoValues::given('levels');
        }
        foreach ([['held', $held], ['tried', $tried]] as [$name, $list]) {
            count($list) === count($levels) || throw InvalidInput::because('Each level needs its counts.', $name);
        }
        foreach ($tried as $i => $n) {
            if ($n < 1 || $held[$i] < 0 || $held[$i] > $n) {
                throw InvalidInput::because(sprintf('%d held of %d tried is not possible.', $held[$i], $n), 'held/'.$i);
            }
        }
        if (count(array_unique($levels)) < 2) {
            throw NotEstimable::because('levels.tooFew', 'All tries were made at one level, so nothing is known of the others.', 'levels');
        }
        // Centred and scaled, so that the steps are of the same size whatever the unit.
        $centre = array_sum($levels) / count($levels);
        $scale = max(array_map(static fn (float $l): float => abs($l - $centre), $levels));
        $x = array_map(static fn (float $l): float => ($l - $centre) / $scale, $levels);
        [$a, $b] = self::maximise($x, $held, $tried);
        if (abs($b) < 1e-6) {
            throw NotEstimable::because('curve.flat', 'The share held does not change with the level.', 'held');
        }
        [$saa, $sab, $sbb] = self::information($x, $tried, $a, $b)[1];
        // Delta method for −a/b.
        $variance = ($saa - 2 * $a / $b * $sab + ($a / $b) ** 2 * $sbb) / ($b * $b);

        return new self($centre - $scale * $a / $b, $scale * sqrt($variance), $b / $scale, $a - $b * $centre / $scale);
    }

    /**
     * The level at which this share holds.
     *
     * @throws InvalidInput
     */
    public function levelAt(float $share): float
    {
        if (!($share > 0 && $share < 1)) {
            throw InvalidInput::because('A share lies between 0 and 1, both excluded.', 'at');
        }

        return (log($share / (1 - $share)) - $this->intercept) / $this->slope;
    }

    /**
     * @param list<float> $x
     * @param list<int>   $held
     * @param list<int>   $tried
     *
     * @return array{float, float}
     */
    private static function maximise(array $x, array $held, array $tried): array
    {
        $share = (array_sum($held) + 0.5) / (array_sum($tried) + 1);
        $a = log($share / (1 - $share));
        $b = 0.0;
        $at = self::likelihood($x, $held, $tried, $a, $b);
        for ($i = 0; $i < 200; ++$i) {
            [$p, [$saa, $sab, $sbb]] = self::information($x, $tried, $a, $b);
            $ua = $ub = 0.0;
            foreach ($x as $k => $v) {
                $w = $tried[$k] * $p[$k] * (1 - $p[$k]);
                $hat = $w * ($saa + 2 * $v * $sab + $v * $v * $sbb);
                $score = $held[$k] - $tried[$k] * $p[$k] + $hat * (0.5 - $p[$k]);
                $ua += $score;
                $ub += $score * $v;
            }
            $da = $saa * $ua + $sab * $ub;
            $db = $sab * $ua + $sbb * $ub;
            // Halved while it would go downhill, and never more than five units at once.
            $size = min(1.0, 5 / max(abs($da), abs($db), 1e-300));
            for ($next = self::likelihood($x, $held, $tried, $a + $size * $da, $b + $size * $db), $h = 0; $next < $at - 1e-12 && $h < 40; ++$h) {
                $size /= 2;
                $next = self::likelihood($x, $held, $tried, $a + $size * $da, $b + $size * $db);
            }
            $a += $size * $da;
            $b += $size * $db;
            $at = $next;
            if (max(abs($da), abs($db)) < 1e-11 * (1 + abs($a) + abs($b))) {
                return [$a, $b];
            }
        }
        throw NotEstimable::because('fit.failed', 'No curve could be fitted to these outcomes.', 'held');
    }

    /**
     * Penalised log-likelihood.
     *
     * @param list<float> $x
     * @param list<int>   $held
     * @param list<int>   $tried
     */
    private static function likelihood(array $x, array $held, array $tried, float $a, float $b): float
    {
        $sum = 0.0;
        foreach ($x as $k => $v) {
            $eta = $a + $b * $v;
            // ln p = −ln(1 + e^−η), written so that neither end overflows.
            $softplus = $eta > 0 ? $eta + log1p(exp(-$eta)) : log1p(exp($eta));
            $sum += $held[$k] * $eta - $tried[$k] * $softplus;
        }
        [, , $determinant] = self::information($x, $tried, $a, $b);

        return $sum + 0.5 * log(max($determinant, 1e-300));
    }

    /**
     * @param list<float> $x
     * @param list<int>   $tried
     *
     * @return array{list<float>, array{float, float, float}, float} shares, inverse Fisher information, its determinant
     */
    private static function information(array $x, array $tried, float $a, float $b): array
    {
        $p = [];
        $iaa = $iab = $ibb = 0.0;
        foreach ($x as $k => $v) {
            $p[$k] = 1 / (1 + exp(-max(-700.0, min(700.0, $a + $b * $v))));
            $w = $tried[$k] * $p[$k] * (1 - $p[$k]);
            $iaa += $w;
            $iab += $w * $v;
            $ibb += $w * $v * $v;
        }
        $determinant = $iaa * $ibb - $iab * $iab;
        $d = max($determinant, 1e-300);

        return [array_values($p), [$ibb / $d, -$iab / $d, $iaa / $d], $determinant];
    }
}
