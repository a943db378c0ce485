<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Record\Named;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * Somebody who is around a device, by name, whether they can sign in or not: who said, asked or approved something is
 * picked from them.
 *
 * @extends Record<PersonInput>
 */
#[ORM\Entity]
class Person extends Record implements Named
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Device $device;

    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(length: 10)]
    private Relation $relation = Relation::Tester;

    #[ORM\Column(length: 300)]
    private string $note = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->device = $records->named(Device::class, $input->device, 'device');

        return $new->beginUnder($id, $new->device);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $name = trim($input->name);
        $other = $records->namesake(self::class, ['device' => $this->device], $name, $this->id());
        if ($other !== null) {
            throw Invalid::at('name', sprintf('%s is on the list already.', $other->name));
        }
        $this->name = $name;
        $this->relation = $input->relation;
        $this->note = trim($input->note);
    }

    public function view(): PersonView
    {
        return new PersonView(
            $this->id()->toRfc4122(), $this->version(), $this->device->id()->toRfc4122(), $this->name, $this->relation, $this->note,
        );
    }

    public function name(): string
    {
        return $this->name;
    }
}
