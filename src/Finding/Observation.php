<?php

declare(strict_types=1);

namespace Lustrum\Finding;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Revision\Revision;
use Lustrum\Trial\Run;
use Symfony\Component\Uid\Uuid;

/**
 * What somebody saw, heard or felt.
 *
 * @extends Record<ObservationInput>
 */
#[ORM\Entity]
class Observation extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\ManyToOne]
    private ?Run $run = null;

    #[ORM\Column(type: Types::TEXT)]
    private string $text = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->begin($id, $new->revision->workspace());
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->run = $records->namedOrNull(Run::class, $input->run, 'run');
        $this->text = trim($input->text);
    }

    public function view(): ObservationView
    {
        return new ObservationView($this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->run?->id()->toRfc4122(), $this->text, $this->createdBy(), $this->createdAt()->format(\DATE_ATOM));
    }
}
