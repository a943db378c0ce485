<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/** Who changed what, when, from what to what. Never changed itself. */
#[ORM\Entity(readOnly: true)]
#[ORM\Index(columns: ['record'])]
class HistoryEntry
{
    #[ORM\Id]
    #[ORM\Column(type: UuidType::NAME)]
    private Uuid $id;

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
    private \DateTimeImmutable $at;

    /**
     * @param array<string, mixed>|null $was null where it was made
     * @param array<string, mixed>      $is
     */
    public function __construct(
        #[ORM\Column(type: UuidType::NAME)]
        private Uuid $workspace,
        #[ORM\Column(type: UuidType::NAME)]
        private Uuid $record,
        #[ORM\Column(length: 60)]
        private string $kind,
        #[ORM\Column(name: 'author', length: 120)]
        private string $by,
        #[ORM\Column(type: Types::JSON, nullable: true)]
        private ?array $was,
        #[ORM\Column(name: 'became', type: Types::JSON)]
        private array $is,
    ) {
        $this->id = Uuid::v7();
        $this->at = new \DateTimeImmutable();
    }

    public function view(): HistoryView
    {
        return new HistoryView($this->id->toRfc4122(), $this->record->toRfc4122(), $this->workspace->toRfc4122(), $this->kind, $this->by, $this->at->format(\DATE_ATOM), $this->was, $this->is);
    }
}
