<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Shared\Doctrine\InstantType;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/** Who changed what, when, from what to what. Never changed itself. */
#[ORM\Entity(readOnly: true)]
#[ORM\Index(name: 'history_of_record', columns: ['record', 'at'])]
#[ORM\Index(name: 'history_of_workspace', columns: ['workspace', 'at'])]
class HistoryEntry
{
    #[ORM\Id]
    #[ORM\Column(type: UuidType::NAME)]
    private Uuid $id;

    #[ORM\Column(type: InstantType::NAME)]
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
        #[ORM\Column(type: Types::JSONB, nullable: true)]
        private ?array $was,
        #[ORM\Column(name: 'became', type: Types::JSONB)]
        private array $is,
    ) {
        $this->id = Uuid::v7();
        $this->at = new \DateTimeImmutable();
    }
}
