<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\NamedTextsType;
use Symfony\Component\Uid\Uuid;

/**
 * A unit: one physical article built to a revision (called Article here, as Unit is a unit of measurement).
 *
 * @extends Record<ArticleInput>
 */
#[ORM\Entity]
class Article extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\Column(length: 40)]
    private string $serial = '';

    /** @var array<string, string> material => lot */
    #[ORM\Column(type: NamedTextsType::NAME)]
    private array $lots = [];

    #[ORM\Column(type: Types::TEXT)]
    private string $deviations = '';

    #[ORM\Column(length: 10)]
    private string $state = 'finished';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->serial = trim($input->serial);
        $this->lots = $input->lotsByMaterial();
        $this->deviations = $input->deviations;
        $this->state = $input->state;
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function view(): ArticleView
    {
        return new ArticleView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->serial,
            array_map(static fn (string $m, string $l): string => $m.': '.$l, array_keys($this->lots), array_values($this->lots)),
            $this->deviations, $this->state,
        );
    }

    public function revision(): Revision
    {
        return $this->revision;
    }

    public function serial(): string
    {
        return $this->serial;
    }

    public function deviations(): string
    {
        return $this->deviations;
    }

    public function state(): string
    {
        return $this->state;
    }

    /** @return array<string, string> */
    public function lots(): array
    {
        return $this->lots;
    }
}
