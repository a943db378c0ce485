<?php

declare(strict_types=1);

namespace Lustrum\Action\Build;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\ParameterInput;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Symfony\Component\Uid\Uuid;

/** Parameters and parts of a new build are those of its parent, until somebody changes them; the arm that was chosen there is in. */
final readonly class CarryingOver
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
    ) {
    }

    public function copy(Revision $from, Revision $next): void
    {
        $to = $next->id()->toRfc4122();
        $this->em->flush();
        $next->keepsFamily($from);
        $arm = [];
        foreach ($from->isFamily() ? [] : $from->arm($from->chosenArm())->values ?? [] as $value) {
            $arm[mb_strtolower(trim($value->name))] = $value;
        }
        foreach ($this->records->all(Parameter::class, ['revision' => $from]) as $parameter) {
            $view = $parameter->view();
            $own = $arm[mb_strtolower($view->name)] ?? null;
            unset($arm[mb_strtolower($view->name)]);
            $copy = $this->writer->make(
                Parameter::class, Uuid::v7(), new ParameterInput($to, $view->name, $own->text ?? $parameter->text()),
            );
            if ($own === null && $copy instanceof Parameter) {
                $copy->restore(['measure' => get_object_vars($view->measure)] + get_object_vars($view), $this->records);
                $copy->follows($parameter);
            }
        }
        foreach ($arm as $value) {
            $this->writer->make(Parameter::class, Uuid::v7(), new ParameterInput($to, trim($value->name), $value->text));
        }
        foreach ($this->records->all(Part::class, ['revision' => $from]) as $part) {
            $this->writer->make(Part::class, Uuid::v7(), $part->view()->on($to));
        }
    }
}
