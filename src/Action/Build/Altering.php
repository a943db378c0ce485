<?php

declare(strict_types=1);

namespace Lustrum\Action\Build;

use Lustrum\Domain\Decision\Alteration;
use Lustrum\Domain\Decision\AlterationKind;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\ParameterInput;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\PartInput;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Symfony\Component\Uid\Uuid;

/** Applies what becomes of a build: a parameter, a part or its material, the firmware. */
final readonly class Altering
{
    public function __construct(
        private Records $records,
        private RecordWriter $writer,
    ) {
    }

    public function apply(Alteration $alteration, Revision $build): void
    {
        $to = $build->id()->toRfc4122();
        match ($alteration->kind) {
            AlterationKind::Parameter => $this->parameter($alteration, $build, $to),
            AlterationKind::Part, AlterationKind::Material => $this->part($alteration, $build, $to),
            AlterationKind::Firmware => $build->withFirmware($alteration->to),
            // A setting is adjusted on the article; its change record says so.
            AlterationKind::Setting => null,
        };
    }

    /** What it alters, as the build has it now; empty where it has none. */
    public function stands(AlterationKind $kind, string $name, Revision $build): string
    {
        return match ($kind) {
            AlterationKind::Parameter => $this->named($this->records->all(Parameter::class, ['revision' => $build]), $name)?->text() ?? '',
            AlterationKind::Part, AlterationKind::Material => $this->named(
                $this->records->all(Part::class, ['revision' => $build]), $name,
            )?->view()->material ?? '',
            AlterationKind::Firmware => $build->firmware(),
            AlterationKind::Setting => '',
        };
    }

    private function parameter(Alteration $a, Revision $build, string $to): void
    {
        $known = $this->named($this->records->all(Parameter::class, ['revision' => $build]), $a->name);
        if (trim($a->to) === '') {
            $known?->withdraw('Taken out by the decision.');
        } elseif ($known === null) {
            $this->writer->make(Parameter::class, Uuid::v7(), new ParameterInput($to, $a->name, $a->to));
        } else {
            $known->fill(new ParameterInput($to, $known->name(), $a->to, reliedOn: $known->view()->reliedOn), $this->records);
        }
    }

    private function part(Alteration $a, Revision $build, string $to): void
    {
        $known = $this->named($this->records->all(Part::class, ['revision' => $build]), $a->name);
        if ($a->kind === AlterationKind::Part && trim($a->to) === '') {
            $known?->withdraw('Taken out by the decision.');
        } elseif ($known === null) {
            $this->writer->make(Part::class, Uuid::v7(), new PartInput($to, $a->name, $a->to));
        } else {
            $view = $known->view();
            $known->fill($view->on($to, $a->to), $this->records);
        }
    }

    /**
     * @template T of Parameter|Part
     *
     * @param list<T> $records
     *
     * @return T|null
     */
    private function named(array $records, string $name): mixed
    {
        foreach ($records as $record) {
            if (mb_strtolower($record->name()) === mb_strtolower(trim($name))) {
                return $record;
            }
        }

        return null;
    }
}
