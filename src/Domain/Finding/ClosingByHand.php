<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Symfony\Component\Uid\Uuid;

/**
 * Somebody closes a failure sooner than its holds ask, in words; both stand, and a return opens it again.
 *
 * @extends Record<ClosingByHandInput>
 */
#[ORM\Entity]
class ClosingByHand extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Failure $failure;

    #[ORM\Column(length: 300)]
    private string $why = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->failure = $records->named(Failure::class, $input->failure, 'failure');

        return $new->beginUnder($id, $new->failure);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->why = trim($input->why);
    }

    public function build(): ?Uuid
    {
        return $this->failure->build();
    }

    public function view(): ClosingByHandView
    {
        return new ClosingByHandView(
            $this->id()->toRfc4122(), $this->version(), $this->failure->id()->toRfc4122(), $this->why, $this->createdBy(),
            Instant::write($this->createdAt()),
        );
    }
}
