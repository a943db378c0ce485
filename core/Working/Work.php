<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

use Lustrum\Core\CoreException;
use Lustrum\Core\InvalidInput;

/**
 * Works a sum out: its answers with their uncertainty to first order, inputs taken as independent (GUM, JCGM 100:2008,
 * 5.1.2), and what contributes most to it.
 */
final readonly class Work
{
    /** Of an uncertainty, the step by which its effect is found. */
    private const STEP = 1e-3;

    public function __construct(
        private Working $working,
        public About $about,
    ) {
    }

    /**
     * With the answers that these texts name.
     *
     * @param array<string, string> $texts by input
     *
     * @throws CoreException
     */
    public function named(array $texts): self
    {
        return $this->working instanceof Naming ? new self($this->working, $this->about->giving($this->working->outputs($texts))) : $this;
    }

    /**
     * @param array<string, string> $units by output, where another is wanted
     *
     * @return list<Worked> in the order of the outputs
     *
     * @throws CoreException
     */
    public function out(Entered $entered, array $units = []): array
    {
        $entered->mustBeRight();
        foreach (array_keys($units) as $name) {
            if ($this->about->output((string) $name) === null) {
                throw InvalidInput::unknownField('units/'.$name);
            }
        }
        $si = $this->si($entered->given);
        $slopes = $this->effects($entered);
        $out = [];
        foreach ($this->about->outputs as $output) {
            if (!array_key_exists($output->name, $si)) {
                continue;
            }
            $unit = $units[$output->name] ?? $output->unit;
            try {
                $out[] = $this->said($output, $si[$output->name], $unit, array_filter(array_map(
                    static fn (array $of): float => $of[$output->name] ?? 0.0, $slopes,
                )), $slopes !== []);
            } catch (CoreException $e) {
                throw $e->path === 'unit' || $e->path === '' ? new $e($e->problem, $e->getMessage(), 'units/'.$output->name) : $e;
            }
        }

        return $out;
    }

    /**
     * @return array<string, float|list<float>|null> by output, all of them real
     *
     * @throws CoreException
     */
    public function si(Given $given): array
    {
        try {
            $out = $this->working->work($given);
        } catch (\ArithmeticError) {
            throw Entered::undefined('With these values it divides by nought.');
        }
        foreach ($out as $name => $value) {
            foreach (is_array($value) ? $value : [$value ?? 0.0] as $one) {
                if (!is_finite($one)) {
                    throw Entered::undefined('With these values it comes to no number.', (string) $name);
                }
            }
        }

        return $out;
    }

    /** @return array<string, array<string, float>> what the uncertainty of an input does to each output, in SI: by input, by output */
    private function effects(Entered $entered): array
    {
        $out = [];
        foreach ($entered->u as $name => $u) {
            $out[$name] = $this->effect($entered->given, $name, $u, null);
        }
        foreach ($entered->uOfMany as $name => $us) {
            foreach ($us as $i => $u) {
                foreach ($this->effect($entered->given, $name, $u, $i) as $output => $effect) {
                    $out[$name][$output] = hypot($out[$name][$output] ?? 0.0, $effect);
                }
            }
        }

        return $out;
    }

    /** @return array<string, float> */
    private function effect(Given $given, string $name, float $u, ?int $at): array
    {
        $h = self::STEP * $u;
        $ends = [];
        foreach ([-$h, $h] as $by) {
            try {
                $ends[] = [$by, $this->si($given->moved($name, $by, $at))];
            } catch (CoreException) {
                // At the edge of what it takes, one side tells.
                $ends[] = [0.0, $this->si($given)];
            }
        }
        [[$from, $a], [$to, $b]] = $ends;
        $out = [];
        foreach ($b as $output => $value) {
            $before = $a[$output] ?? null;
            if (is_float($value) && is_float($before)) {
                $out[$output] = $to > $from ? ($value - $before) / ($to - $from) * $u : 0.0;
            }
        }

        return $out;
    }

    /**
     * @param float|list<float>|null $si
     * @param array<string, float>   $effects by input
     */
    private function said(Output $output, float|array|null $si, string $unit, array $effects, bool $isUncertain): Worked
    {
        $say = static fn (float $v): float => Entry::said($v, $output->unit, $unit);
        $size = Entry::size($output->unit, $unit);
        $variance = array_sum(array_map(static fn (float $e): float => $e * $e, $effects));
        $parts = $variance > 0.0 ? array_map(static fn (float $e): float => $e * $e / $variance, $effects) : [];
        arsort($parts);

        return new Worked(
            $output->name, is_array($si) ? array_map($say, $si) : ($si === null ? null : $say($si)), $unit,
            is_float($si) && $isUncertain ? sqrt($variance) / $size : null, $parts, $output->isExact,
        );
    }
}
