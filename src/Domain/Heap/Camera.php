<?php

declare(strict_types=1);

namespace Lustrum\Domain\Heap;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Heap\Clock;
use Lustrum\Record\Named;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * The clock of a camera, phone or recorder of the team: how far it is ahead. What it took names it.
 *
 * @extends Record<CameraInput>
 */
#[ORM\Entity]
class Camera extends Record implements Named
{
    #[ORM\Column(length: 120)]
    private string $name = '';

    /** Seconds. */
    #[ORM\Column]
    private float $ahead = 0.0;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        // It belongs to no device, and so to itself.
        return (new self())->begin($id, $records->workspaceToWrite($input->workspace), $id);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $name = trim($input->name);
        if ($records->namesake(self::class, ['workspace' => $this->workspace()], $name, $this->id()) !== null) {
            throw Invalid::at('name', sprintf('There is a camera “%s” already.', $name));
        }
        [$this->name, $this->ahead] = [$name, $input->ahead];
    }

    public function view(): CameraView
    {
        return new CameraView($this->id()->toRfc4122(), $this->version(), $this->workspace()->id()->toRfc4122(), $this->name, $this->ahead);
    }

    public function name(): string
    {
        return $this->name;
    }

    public function clock(): Clock
    {
        return Clock::ahead($this->ahead);
    }
}
