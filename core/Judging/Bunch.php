<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\AsSet;
use Lustrum\Core\Run\Design;
use Lustrum\Core\Run\ReadingFact;
use Lustrum\Core\Run\RunFact;

/**
 * What some runs of one configuration that are alike read of one metric by one channel, in columns: values and bounds apart, and of those
 * that say something of the design how they were made.
 */
final class Bunch
{
    private const COLUMNS = ['values', 'atLeast', 'atMost'];

    /** Runs that read it, void and lost ones too. */
    public int $read = 0;

    /** @var list<float> in SI */
    public array $values = [];

    /** @var list<float> in SI: the run ended, and whatever was waited for had not come */
    public array $atLeast = [];

    /** @var list<float> in SI */
    public array $atMost = [];

    /** Step in SI of the coarsest last digit among the values. */
    public float $step = 0.0;

    public Circumstances $circumstances;

    /**
     * @param string $made    key of the configuration
     * @param string $article its serial; empty: nobody said which
     * @param Design $design  the state that the runs were made on
     * @param array<string, string> $set what they were set to, by name
     */
    public function __construct(
        public readonly string $metric,
        public readonly string $method,
        public readonly string $channel,
        public readonly string $instrument,
        public readonly string $unit,
        string $made,
        public readonly Alikeness $alike,
        public readonly string $article,
        public readonly Design $design,
        public readonly array $set = [],
    ) {
        $this->circumstances = new Circumstances($made);
    }

    /** @return array<string, mixed> */
    public function __serialize(): array
    {
        return [
            'values' => Columns::floats($this->values), 'atLeast' => Columns::floats($this->atLeast),
            'atMost' => Columns::floats($this->atMost),
        ] + get_object_vars($this);
    }

    /** @param array{values: string, atLeast: string, atMost: string} $kept */
    public function __unserialize(array $kept): void
    {
        foreach ($kept as $name => $value) {
            $this->{$name} = is_string($value) && in_array($name, self::COLUMNS, true) ? Columns::valuesOf($value) : $value;
        }
    }

    /** Equal for what may be put together. */
    public function key(): string
    {
        return self::keyOf(
            $this->metric, $this->channel, $this->instrument, $this->unit, $this->circumstances->made, $this->alike, AsSet::key($this->set),
        );
    }

    /**
     * @param string $made key of the configuration
     * @param string $set  what they were set to, in short
     */
    public static function keyOf(
        string $metric, string $channel, string $instrument, string $unit, string $made, Alikeness $alike, string $set,
    ): string {
        return implode("\x1f", [$metric, $channel, $instrument, $unit, $made, $alike->key(), $set]);
    }

    /** Both together; neither changes. */
    public function and(self $other): self
    {
        $both = clone $this;
        $both->read += $other->read;
        array_push($both->values, ...$other->values);
        array_push($both->atLeast, ...$other->atLeast);
        array_push($both->atMost, ...$other->atMost);
        $both->step = max($this->step, $other->step);
        $both->circumstances = $this->circumstances->and($other->circumstances);

        return $both;
    }

    /** The same, alike to runs of its variant alone. */
    public function asVariant(string $variant): self
    {
        $one = new self(
            $this->metric, $this->method, $this->channel, $this->instrument, $this->unit, $this->circumstances->made,
            $this->alike->asVariant($variant), $this->article, $this->design, $this->set,
        );
        [$one->read, $one->values, $one->atLeast, $one->atMost] = [$this->read, $this->values, $this->atLeast, $this->atMost];
        [$one->step, $one->circumstances] = [$this->step, $this->circumstances];

        return $one;
    }

    /** The same with every value so much more, in SI. */
    public function moved(float $by): self
    {
        $moved = clone $this;
        $moved->values = array_map(static fn (float $value): float => $value + $by, $this->values);

        return $moved;
    }

    public function take(RunFact $run, ReadingFact $reading): void
    {
        ++$this->read;
        if (!$run->says()) {
            return;
        }
        $this->circumstances->take($run);
        if ($reading->kind === ResultKind::Equal) {
            $this->values[] = $reading->si;
            $this->step = max($this->step, $reading->step);

            return;
        }
        if ($reading->kind === ResultKind::AtLeast) {
            $this->atLeast[] = $reading->si;
        } else {
            $this->atMost[] = $reading->si;
        }
    }
}
