<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\TextsType;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * A day out: trials of several methods, builds and devices at one place, with who comes along and what was missed.
 *
 * @extends Record<OutingInput>
 */
#[ORM\Entity]
class Outing extends Record
{
    #[ORM\Column(length: 120)]
    private string $place = '';

    #[ORM\Column(length: 10)]
    private string $day = '';

    #[ORM\Column(nullable: true)]
    private ?float $hours = null;

    /** @var list<string> */
    #[ORM\Column(type: TextsType::NAME)]
    private array $people = [];

    /** @var list<string> */
    #[ORM\Column(type: TextsType::NAME)]
    private array $permits = [];

    #[ORM\Column(length: 300)]
    private string $weather = '';

    /** @var list<string> identifiers */
    #[ORM\Column(type: TextsType::NAME)]
    private array $trials = [];

    /** @var list<string> */
    #[ORM\Column(type: TextsType::NAME)]
    private array $missed = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        // It belongs to no device, and so to itself.
        return (new self())->begin($id, $records->workspaceToWrite($input->workspace), $id);
    }

    public function take(RecordInput $input, Records $records): void
    {
        foreach ($input->trials as $i => $trial) {
            $known = $records->named(Trial::class, $trial, sprintf('trials[%d]', $i));
            if (!$known->workspace()->id()->equals($this->workspace()->id())) {
                throw Invalid::at(sprintf('trials[%d]', $i), 'That trial is of another workspace.');
            }
        }
        [$this->place, $this->day, $this->hours, $this->weather] = [
            trim($input->place), trim($input->day), $input->hours, trim($input->weather),
        ];
        [$this->people, $this->permits, $this->missed] = [$input->people, $input->permits, $input->missed];
        $this->trials = array_values(array_unique($input->trials));
    }

    /** By their days; where one has none, by which was written down first. */
    public function isBefore(self $other): bool
    {
        return $this->day !== '' && $other->day !== '' && $this->day !== $other->day
            ? $this->day < $other->day : $this->id()->toRfc4122() < $other->id()->toRfc4122();
    }

    public function view(): OutingView
    {
        return new OutingView(
            $this->id()->toRfc4122(), $this->version(), $this->workspace()->id()->toRfc4122(), $this->place, $this->day, $this->hours,
            $this->people,
            $this->permits, $this->weather, $this->trials, $this->missed,
        );
    }
}
