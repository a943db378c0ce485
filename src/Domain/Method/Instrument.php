<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Check\InstrumentFit;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Channel;
use Lustrum\Record\Named;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\TextsType;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * An instrument of the team. Channels of any device name it; what it is good for is worked out from what stands here.
 *
 * @extends Record<InstrumentInput>
 */
#[ORM\Entity]
class Instrument extends Record implements Named
{
    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(length: 40)]
    private string $unit = '';

    #[ORM\Column(nullable: true)]
    private ?float $resolution = null;

    #[ORM\Column(nullable: true)]
    private ?float $low = null;

    #[ORM\Column(nullable: true)]
    private ?float $high = null;

    /** Time constant, in s. */
    #[ORM\Column(nullable: true)]
    private ?float $lag = null;

    /** Readings a second. */
    #[ORM\Column(nullable: true)]
    private ?float $rate = null;

    #[ORM\Column(length: 10)]
    private string $checkedOn = '';

    #[ORM\Column(nullable: true)]
    private ?int $checkMonths = null;

    #[ORM\Column(length: 120)]
    private string $checkedBy = '';

    #[ORM\Column(length: 120)]
    private string $power = '';

    /** The unit that its display was left in. */
    #[ORM\Column(length: 40)]
    private string $leftIn = '';

    #[ORM\Column(length: 300)]
    private string $note = '';

    /** @var list<string> what it was called before: methods written then still mean it */
    #[ORM\Column(type: TextsType::NAME)]
    private array $formerly = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        // It belongs to no device, and so to itself.
        return (new self())->begin($id, $records->workspaceToWrite($input->workspace), $id);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $name = trim($input->name);
        $other = $records->namesake(self::class, ['workspace' => $this->workspace()], $name, $this->id());
        if ($other !== null) {
            throw Invalid::at('name', sprintf('There is an instrument “%s” already.', $other->name));
        }
        if ($this->isWritten() && mb_strtolower($name) !== mb_strtolower($this->name)) {
            $this->formerly = array_values(array_unique([...$this->formerly, $this->name]));
        }
        $this->name = $name;
        $this->unit = trim($input->unit);
        [$this->resolution, $this->low, $this->high] = [$input->resolution, $input->low, $input->high];
        $this->lag = $input->seconds();
        $this->rate = $input->hertz();
        [$this->checkedOn, $this->checkMonths, $this->checkedBy] = [trim($input->checkedOn), $input->checkMonths, trim($input->checkedBy)];
        [$this->power, $this->leftIn, $this->note] = [trim($input->power), trim($input->leftIn), trim($input->note)];
    }

    public function view(): InstrumentView
    {
        return new InstrumentView(
            $this->id()->toRfc4122(), $this->version(), $this->workspace()->id()->toRfc4122(), $this->name, $this->unit, $this->resolution,
            $this->low, $this->high, $this->lag, $this->rate, $this->checkedOn, $this->checkMonths, $this->checkedBy, $this->power,
            $this->leftIn, $this->note, $this->formerly,
        );
    }

    public function name(): string
    {
        return $this->name;
    }

    /** Is it meant by this name, now or before? */
    public function isCalled(string $name): bool
    {
        $called = array_map(mb_strtolower(...), [$this->name, ...$this->formerly]);

        return in_array(mb_strtolower(trim($name)), $called, true);
    }

    /** When it was to be checked again, as ISO date; null: nobody said how often. */
    public function due(): ?string
    {
        return $this->checkMonths === null ? null : ($this->checkedOn === '' ? '' : (new \DateTimeImmutable($this->checkedOn))
            ->modify(sprintf('+%d months', $this->checkMonths))->format('Y-m-d'));
    }

    /** Can it see what this channel is for? What it shows in another kind of unit fits nothing. */
    public function fits(Channel $channel): ?InstrumentFit
    {
        if (!Units::fit($this->unit, $channel->unit)) {
            return null;
        }
        $step = $this->resolution ?? 0.0;

        return InstrumentFit::of(
            $this->lag === null ? null : Quantity::of($this->lag, 's'), $this->rate === null ? null : Quantity::of($this->rate, 'Hz'),
            $step > 0.0 ? Quantity::of($step, $this->unit) : ($channel->resolution > 0.0 ? Quantity::of($channel->resolution, $channel->unit) : null),
            $channel->lasts === null ? null : Quantity::of($channel->lasts, 's'),
            $channel->difference === null ? null : Quantity::of($channel->difference, $channel->unit),
        );
    }
}
