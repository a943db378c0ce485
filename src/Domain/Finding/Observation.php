<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Run;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
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

    /** Empty: whoever wrote it down. */
    #[ORM\Column(length: 120)]
    private string $saidBy = '';

    /** Seconds into its run. */
    #[ORM\Column(name: 'into_run', nullable: true)]
    private ?float $after = null;

    /** It is an idea for this method, or a complaint about its rig. */
    #[ORM\ManyToOne]
    private ?Method $method = null;

    /** Seconds into its run at which it ended; null: it has no length. */
    #[ORM\Column(name: 'until_run', nullable: true)]
    private ?float $until = null;

    /** It must be explained or dismissed before anything rests on its run. */
    #[ORM\Column]
    private bool $odd = false;

    #[ORM\Column(length: 300)]
    private string $explained = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->run = $records->namedOrNull(Run::class, $input->run, 'run');
        $this->text = trim($input->text);
        $this->saidBy = trim($input->saidBy);
        $this->after = $input->after;
        $this->method = $records->namedOrNull(Method::class, $input->method, 'method');
        if ($this->method !== null && !$this->method->belongsTo()->equals($this->belongsTo())) {
            throw Invalid::at('method', 'That is a method of another device.');
        }
        $this->until = $input->after === null ? null : $input->until;
        $this->odd = $input->odd;
        $this->explained = trim($input->explained);
    }

    /** The run that it was seen on is another build's. */
    public function goesTo(Revision $revision): void
    {
        $this->revision = $revision;
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function view(): ObservationView
    {
        return new ObservationView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->run?->id()->toRfc4122(), $this->text,
            $this->saidBy, $this->createdBy(), Instant::write($this->createdAt()), $this->after, $this->odd, $this->explained,
            $this->until, $this->method?->id()->toRfc4122(),
        );
    }
}
