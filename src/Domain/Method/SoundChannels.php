<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Check\Known;
use Lustrum\Core\CoreException;
use Lustrum\Core\Formula\Formula;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Calibration;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Constant;
use Lustrum\Core\Run\EmptyRun;
use Lustrum\Shared\Refusal\Invalid;

/** The channels of a method, checked against each other when it is written. */
final class SoundChannels
{
    /**
     * @param list<ChannelInput> $inputs
     * @param list<Constant>     $constants of the fixture, which formulas take too
     *
     * @return list<Channel> with the metric as it was typed
     *
     * @throws Invalid at the field that is wrong
     */
    public static function of(array $inputs, array $constants): array
    {
        $channels = array_map(static fn (ChannelInput $c, int $i): Channel => $c->channel($i), $inputs, array_keys($inputs));
        $keys = $measured = [];
        foreach ($channels as $i => $channel) {
            if ($channel->measures !== '' && isset($measured[$channel->measures])) {
                throw self::invalid($i, 'measures', 'Another channel is held against the others as that already.');
            }
            $measured[$channel->measures] = true;
            if (isset($keys[$channel->key])) {
                throw self::invalid($i, 'key', 'Two channels cannot have the same short name.');
            }
            $keys[$channel->key] = true;
            self::mustBeSound($channel, $i);
        }
        foreach ($channels as $i => $channel) {
            if ($channel->isDerived()) {
                self::mustBeDerivable($channel, $channels, $constants, $i);
            }
        }

        return $channels;
    }

    private static function mustBeSound(Channel $channel, int $i): void
    {
        if ($channel->low !== null && $channel->high !== null && $channel->low >= $channel->high) {
            throw self::invalid($i, 'high', 'The upper plausible limit lies below the lower one.');
        }
        if (!$channel->whenStopped->hasValue()) {
            throw self::invalid($i, 'whenStopped', 'A value, at least, or at most.');
        }
        $unit = Units::parse($channel->unit);
        if ($channel->measures !== '' && !Units::fit($unit->symbol, Known::UNITS[$channel->measures]) && !self::turns($channel)) {
            throw self::invalid($i, 'measures', sprintf('%s measures %s.', $channel->unit, $unit->measures()));
        }
        if ($channel->calibration === []) {
            return;
        }
        try {
            Calibration::of($channel->calibration);
        } catch (CoreException $e) {
            throw self::invalid($i, 'calibration', $e->getMessage());
        }
        if ($channel->isDerived()) {
            throw self::invalid($i, 'calibration', 'A channel that is worked out has no instrument to calibrate.');
        }
    }

    /** How fast something turns may be read in rad/s as well. */
    private static function turns(Channel $channel): bool
    {
        return Units::fit(Known::UNITS[$channel->measures], 'Hz') && Units::fit($channel->unit, 'rad/s');
    }

    /**
     * @param list<ConstantInput> $inputs
     * @param list<ChannelInput>  $channels
     *
     * @return list<Constant>
     *
     * @throws Invalid at the name that is there twice
     */
    public static function constants(array $inputs, array $channels): array
    {
        $keys = array_column($channels, 'key');
        $out = [];
        foreach ($inputs as $i => $input) {
            if (in_array($input->key, $keys, true)) {
                throw Invalid::at(sprintf('constants[%d].key', $i), 'A channel or another constant has this short name.');
            }
            $keys[] = $input->key;
            $out[] = $input->constant();
        }

        return $out;
    }

    /**
     * @param list<Channel>  $channels
     * @param list<Constant> $constants
     */
    private static function mustBeDerivable(Channel $channel, array $channels, array $constants, int $i): void
    {
        $units = array_column($constants, 'unit', 'key');
        foreach ($channels as $other) {
            if (!$other->isDerived()) {
                $units[$other->key] = $other->unit;
                $units += [EmptyRun::key($other->key) => $other->unit];
            }
        }
        try {
            $formula = Formula::read($channel->formula, array_keys($units));
            $dimension = $formula->dimension($units);
        } catch (CoreException $e) {
            throw self::invalid($i, 'formula', $e->getMessage());
        }
        $wanted = Units::parse($channel->unit);
        if (!$dimension->plain()->equals($wanted->dimension->plain())) {
            throw self::invalid(
                $i, 'formula',
                sprintf('This comes out as %s, but %s measures %s.', $dimension->name(), $channel->unit, $wanted->measures()),
            );
        }
        try {
            $formula->mustGive($units, $channel->unit);
        } catch (CoreException $e) {
            throw self::invalid($i, 'formula', $e->getMessage());
        }
    }

    private static function invalid(int $i, string $field, string $sentence): Invalid
    {
        return Invalid::at(sprintf('channels[%d].%s', $i, $field), $sentence);
    }
}
