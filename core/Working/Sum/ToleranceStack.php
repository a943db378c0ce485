<?php

declare(strict_types=1);

namespace Lustrum\Core\Working\Sum;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Field;
use Lustrum\Core\Working\Given;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Working;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** What tolerances come to in a row. */
final readonly class ToleranceStack implements Working
{
    private const HOLDS = 0.9973;

    public function about(): About
    {
        return new About(
            'Tolerance stack', 'What is left over at the end of a row of dimensions, and how far it can be off.',
            ['tolerances', 'gap', 'does it fit', 'worst case', 'clearance', 'dimension chain'],
            [
                Field::many('nominals', 'Dimensions', 'x', 'mm'), Field::many('tolerances', 'Tolerances (±)', 't', 'mm'),
                Field::many('signs', 'Which way each counts (1 or −1)', 's', '1')->orNot(),
                Field::of('draws', 'Drawn so many times', 'N', '1')->orNot()->whole()->from(100.0)->to(200000.0),
                Field::any('seed', 'Seed of the draws', '', '1')->orNot(1.0)->whole(),
            ],
            [
                Output::of('nominal', 'Nominal', 'X', 'm', 'X = Σ(s·x)')->shownIn('mm'),
                Output::of('worstCase', 'At the worst, ±', 'W', 'm', 'W = Σt')->main()->shownIn('mm'),
                Output::of('rootSumSquare', 'Root sum square, ±', 'R', 'm', 'R = √Σt²')->shownIn('mm'),
                Output::of('simulated', 'Drawn, ± holding 99.73 %', 'D', 'm', 'each uniform within its tolerance')->shownIn('mm'),
            ],
            'Fischer, Mechanical Tolerance Stackup and Analysis (2nd edition, 2011), 7 and 8; drawn as JCGM 101:2008.',
            'Shape, angle, and dimensions that are off together: root sum square takes them as independent.',
        );
    }

    public function work(Given $in): array
    {
        [$x, $t, $signs] = [$in->many('nominals'), $in->many('tolerances'), $in->many('signs')];
        $signs = $signs === [] ? array_fill(0, count($x), 1.0) : $signs;
        foreach (['tolerances' => $t, 'signs' => $signs] as $name => $list) {
            if (count($list) !== count($x)) {
                throw InvalidInput::because('As many as there are dimensions are wanted.', 'inputs/'.$name);
            }
        }
        foreach ($signs as $i => $sign) {
            if (abs($sign) !== 1.0) {
                throw InvalidInput::because('1 or −1 is wanted here.', 'inputs/signs/'.$i);
            }
        }
        foreach ($t as $i => $one) {
            if ($one < 0.0) {
                throw InvalidInput::because('A tolerance is not below nought.', 'inputs/tolerances/'.$i);
            }
        }
        $draws = $in->maybe('draws');

        return [
            'nominal' => array_sum(array_map(static fn (float $v, float $s): float => $v * $s, $x, $signs)), 'worstCase' => array_sum($t),
            'rootSumSquare' => sqrt(array_sum(array_map(static fn (float $v): float => $v * $v, $t))),
        ] + ($draws === null ? [] : ['simulated' => self::drawn($t, (int) $draws, (int) $in->the('seed'))]);
    }

    /** @param list<float> $tolerances */
    private static function drawn(array $tolerances, int $draws, int $seed): float
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $off = [];
        for ($i = 0; $i < $draws; ++$i) {
            $sum = 0.0;
            foreach ($tolerances as $t) {
                $sum += $t * (2 * $random->getInt(0, 1 << 30) / (1 << 30) - 1);
            }
            $off[] = abs($sum);
        }
        sort($off);

        return $off[(int) ceil(self::HOLDS * $draws) - 1];
    }
}
