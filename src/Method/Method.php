<?php

declare(strict_types=1);

namespace Lustrum\Method;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\CoreException;
use Lustrum\Core\Formula\Formula;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Units;
use Lustrum\Device\Device;
use Lustrum\Http\Problem;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\Stored;
use Symfony\Component\Uid\Uuid;

/**
 * How a kind of trial is done. Its record version is the method version that runs are made with.
 *
 * @extends Record<MethodInput>
 */
#[ORM\Entity]
class Method extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Device $device;

    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $purpose = '';

    #[ORM\Column(length: 120)]
    private string $rig = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $heldWhen = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $endPoint = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $notRepresented = '';

    /** What a run that held shows, as requirements call it; empty where the outcome itself is no result. */
    #[ORM\Column(length: 120)]
    private string $outcomeMetric = '';

    #[ORM\Column]
    private float $minutes = 10.0;

    /** @var list<array<string, mixed>> */
    #[ORM\Column(type: Types::JSON)]
    private array $channels = [];

    /** @var list<array<string, mixed>> */
    #[ORM\Column(type: Types::JSON)]
    private array $conditions = [];

    /** @var list<array<string, mixed>> */
    #[ORM\Column(type: Types::JSON)]
    private array $settings = [];

    /** @var array<string, mixed> */
    #[ORM\Column(type: Types::JSON)]
    private array $safety = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->device = $records->named(Device::class, $input->device, 'device');

        return $new->begin($id, $new->device->workspace());
    }

    public function take(RecordInput $input, Records $records): void
    {
        $channels = array_map(static fn (ChannelInput $c, int $i): Channel => $c->channel($i), $input->channels, array_keys($input->channels));
        self::mustBeSound($channels);
        $this->name = trim($input->name);
        $this->purpose = $input->purpose;
        $this->rig = trim($input->rig);
        $this->heldWhen = $input->heldWhen;
        $this->endPoint = $input->endPoint;
        $this->notRepresented = $input->notRepresented;
        $this->outcomeMetric = trim($input->outcomeMetric);
        $this->minutes = $input->minutes;
        $this->channels = Stored::rows($channels);
        $this->conditions = Stored::rows($input->conditions);
        $this->settings = Stored::rows($input->settings);
        $this->safety = Stored::rows([$input->safety])[0];
    }

    public function view(): MethodView
    {
        return new MethodView($this->id()->toRfc4122(), $this->version(), $this->device->id()->toRfc4122(), $this->name, $this->purpose, $this->rig, $this->heldWhen, $this->endPoint, $this->notRepresented, $this->outcomeMetric, $this->minutes, $this->channels(), $this->conditions(), $this->settings(), $this->safety());
    }

    public function device(): Device
    {
        return $this->device;
    }

    public function name(): string
    {
        return $this->name;
    }

    /** @return list<Channel> */
    public function channels(): array
    {
        return Stored::list(Channel::class, $this->channels);
    }

    public function channel(string $key): ?Channel
    {
        foreach ($this->channels() as $channel) {
            if ($channel->key === $key) {
                return $channel;
            }
        }

        return null;
    }

    /** @return list<Condition> */
    public function conditions(): array
    {
        return Stored::list(Condition::class, $this->conditions);
    }

    /** @return list<SettingRule> */
    public function settings(): array
    {
        return Stored::list(SettingRule::class, $this->settings);
    }

    public function safety(): Safety
    {
        return Stored::one(Safety::class, $this->safety);
    }

    /** @param list<Channel> $channels */
    private static function mustBeSound(array $channels): void
    {
        $keys = [];
        foreach ($channels as $i => $channel) {
            if (in_array($channel->key, $keys, true)) {
                throw Problem::violation(sprintf('channels[%d].key', $i), 'Two channels cannot have the same short name.');
            }
            $keys[] = $channel->key;
            if ($channel->low !== null && $channel->high !== null && $channel->low >= $channel->high) {
                throw Problem::violation(sprintf('channels[%d].high', $i), 'The upper plausible limit lies below the lower one.');
            }
            if (!in_array($channel->whenStopped, [ResultKind::Equal, ResultKind::AtLeast, ResultKind::AtMost], true)) {
                throw Problem::violation(sprintf('channels[%d].whenStopped', $i), 'A value, at least, or at most.');
            }
            Units::parse($channel->unit);
        }
        foreach ($channels as $i => $channel) {
            if ($channel->isDerived()) {
                self::mustBeDerivable($channel, $channels, sprintf('channels[%d].formula', $i));
            }
        }
    }

    /** @param list<Channel> $channels */
    private static function mustBeDerivable(Channel $channel, array $channels, string $path): void
    {
        $units = [];
        foreach ($channels as $other) {
            if (!$other->isDerived()) {
                $units[$other->key] = $other->unit;
            }
        }
        try {
            $dimension = Formula::read($channel->formula, array_keys($units))->dimension($units);
        } catch (CoreException $e) {
            throw Problem::violation($path, $e->getMessage());
        }
        if (!$dimension->plain()->equals(Units::parse($channel->unit)->dimension->plain())) {
            throw Problem::violation($path, sprintf('This comes out as %s, but %s measures %s.', $dimension->name(), $channel->unit, Units::parse($channel->unit)->measures()));
        }
    }
}
