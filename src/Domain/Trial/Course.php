<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\CoreException;
use Lustrum\Core\Curve\CourseText;
use Lustrum\Core\Curve\Samples;
use Lustrum\Core\Quantity\Units;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * How something went along time on a run, as it was typed, pasted or read off. What is read off it becomes readings by hand.
 *
 * @extends Record<CourseInput>
 */
#[ORM\Entity]
class Course extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Run $run;

    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $text = '';

    #[ORM\Column(length: 40)]
    private string $unit = '1';

    #[ORM\Column(length: 3)]
    private string $timeUnit = 's';

    /** @var list<CourseMark> */
    #[ORM\Column(type: CourseMarksType::NAME)]
    private array $marks = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->run = $records->named(Run::class, $input->run, 'run');

        return $new->beginUnder($id, $new->run);
    }

    public function take(RecordInput $input, Records $records): void
    {
        try {
            CourseText::read($input->text, $input->timeUnit);
            Units::parse($input->unit === '' ? '1' : $input->unit);
        } catch (CoreException $e) {
            throw Invalid::at($e->path === '' ? 'unit' : $e->path, $e->getMessage());
        }
        [$this->name, $this->text, $this->unit] = [trim($input->name), $input->text, trim($input->unit) === '' ? '1' : trim($input->unit)];
        [$this->timeUnit, $this->marks] = [$input->timeUnit, $input->marks];
    }

    /** In s, and in the unit of the course. */
    public function samples(): Samples
    {
        return CourseText::read($this->text, $this->timeUnit);
    }

    public function build(): Uuid
    {
        return $this->run->build();
    }

    public function view(): CourseView
    {
        return new CourseView(
            $this->id()->toRfc4122(), $this->version(), $this->run->id()->toRfc4122(), $this->name, $this->text, $this->unit,
            $this->timeUnit,
            $this->marks, $this->createdBy(),
        );
    }
}
