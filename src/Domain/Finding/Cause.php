<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * A hypothesis for a failure, with the findings for and against.
 *
 * @extends Record<CauseInput>
 */
#[ORM\Entity]
class Cause extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Failure $failure;

    #[ORM\Column(length: 300)]
    private string $text = '';

    #[ORM\Column(length: 10)]
    private CauseKind $kind = CauseKind::Design;

    #[ORM\Column(length: 10)]
    private CauseStanding $standing = CauseStanding::Suspected;

    #[ORM\Column(type: Types::TEXT)]
    private string $findings = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->failure = $records->named(Failure::class, $input->failure, 'failure');

        return $new->beginUnder($id, $new->failure);
    }

    public function take(RecordInput $input, Records $records): void
    {
        if ($input->standing !== CauseStanding::Suspected && trim($input->findings) === '') {
            throw Invalid::at('findings', 'Which finding says so? A cause is not confirmed or ruled out by itself.');
        }
        $this->text = trim($input->text);
        $this->kind = $input->kind;
        $this->standing = $input->standing;
        $this->findings = $input->findings;
    }

    public function build(): ?Uuid
    {
        return $this->failure->build();
    }

    public function view(): CauseView
    {
        return new CauseView(
            $this->id()->toRfc4122(), $this->version(), $this->failure->id()->toRfc4122(), $this->text, $this->kind, $this->standing,
            $this->findings,
        );
    }
}
