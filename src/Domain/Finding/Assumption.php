<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Trial\Run;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * Something believed; where it stands follows from the findings that bear on it.
 *
 * @extends Record<AssumptionInput>
 */
#[ORM\Entity]
class Assumption extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Device $device;

    #[ORM\Column(length: 300)]
    private string $text = '';

    #[ORM\Column(length: 300)]
    private string $hangs = '';

    #[ORM\Column(name: 'shown_by', length: 300)]
    private string $check = '';

    #[ORM\Column(name: 'believed_by', length: 120)]
    private string $by = '';

    /** @var list<AssumptionFinding> */
    #[ORM\Column(type: AssumptionFindingsType::NAME)]
    private array $findings = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->device = $records->named(Device::class, $input->device, 'device');

        return $new->beginUnder($id, $new->device);
    }

    public function take(RecordInput $input, Records $records): void
    {
        foreach ($input->findings as $i => $finding) {
            if ($finding->isEmpty()) {
                throw Invalid::at(sprintf('findings[%d].note', $i), 'Which finding? Pick a run or a failure, or say what was found.');
            }
            $of = [
                'run' => $records->namedOrNull(Run::class, $finding->run, sprintf('findings[%d].run', $i)),
                'failure' => $records->namedOrNull(Failure::class, $finding->failure, sprintf('findings[%d].failure', $i)),
            ];
            foreach ($of as $what => $record) {
                if ($record !== null && !$record->belongsTo()->equals($this->device->id())) {
                    throw Invalid::at(sprintf('findings[%d].%s', $i, $what), 'That belongs to another device.');
                }
            }
        }
        $this->text = trim($input->text);
        $this->hangs = trim($input->hangs);
        $this->check = trim($input->check);
        $this->by = trim($input->by);
        $this->findings = $input->findings;
    }

    public function view(): AssumptionView
    {
        return new AssumptionView(
            $this->id()->toRfc4122(), $this->version(), $this->device->id()->toRfc4122(), $this->text, $this->hangs, $this->check,
            $this->by,
            $this->findings, Instant::write($this->createdAt()),
        );
    }
}
