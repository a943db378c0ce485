<?php

declare(strict_types=1);

namespace Lustrum\Domain\Change;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Domain\Device\Metric;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * Somebody says that a difference bears on nothing of a metric: of an article from its build, or of the build from its parent.
 *
 * @extends Record<UnrelatedInput>
 */
#[ORM\Entity]
class Unrelated extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Metric $metric;

    /** 'part:belt', 'parameter:gap', 'lot:wax', 'firmware' */
    #[ORM\Column(length: 140)]
    private string $what = '';

    #[ORM\Column(length: 300)]
    private string $why = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->metric = $this->revision->device()->metricCalled($input->metric)
            ?? throw Invalid::at('metric', sprintf('Nothing called “%s” is measured or asked of this device.', $input->metric));
        $this->what = trim($input->difference);
        $this->why = trim($input->why);
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function view(): UnrelatedView
    {
        return new UnrelatedView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->metric->name(), $this->what, $this->why,
            $this->createdBy(), Instant::write($this->createdAt()),
        );
    }
}
