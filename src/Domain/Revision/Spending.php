<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Wording\WorkshopWords;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\MoneyType;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * Hours and money that really went into a build: one number, or a clock that runs.
 *
 * @extends Record<SpendingInput>
 */
#[ORM\Entity]
class Spending extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\Column(length: 300)]
    private string $what = '';

    #[ORM\Column(length: 120)]
    private string $who = '';

    #[ORM\Column(nullable: true)]
    private ?float $hours = null;

    #[ORM\Column(type: MoneyType::NAME, precision: 12, scale: 2)]
    private BigDecimal $cost;

    #[ORM\Column(length: 40)]
    private string $started = '';

    #[ORM\Column(length: 40)]
    private string $stopped = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $runs = $input->started !== '' && $input->stopped === '' && $input->hours === null;
        $hours = $input->hours ?? self::between($input->started, $input->stopped);
        if (!$runs && $hours === null && $input->cost === 0.0) {
            throw Invalid::at('hours', 'How many hours, or how much money?');
        }
        $this->what = trim($input->what);
        $this->who = trim($input->who);
        $this->hours = $hours;
        $this->cost = BigDecimal::of((string) $input->cost)->toScale(2, RoundingMode::HalfUp);
        [$this->started, $this->stopped] = [$input->started, $input->stopped];
    }

    private static function between(string $started, string $stopped): ?float
    {
        if ($started === '' || $stopped === '') {
            return null;
        }
        $seconds = (new \DateTimeImmutable($stopped))->getTimestamp() - (new \DateTimeImmutable($started))->getTimestamp();

        return $seconds < 0 ? throw Invalid::at('stopped', 'It was stopped before it was started.') : $seconds / 3600;
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function hours(): ?float
    {
        return $this->hours;
    }

    public function cost(): BigDecimal
    {
        return $this->cost;
    }

    public function view(): SpendingView
    {
        return new SpendingView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->what, $this->who, $this->hours,
            $this->cost->toFloat(), $this->hours === null ? '' : WorkshopWords::time(60 * $this->hours),
            $this->cost->isZero() ? '' : (string) $this->cost, $this->started, $this->stopped, Instant::write($this->createdAt()),
        );
    }
}
