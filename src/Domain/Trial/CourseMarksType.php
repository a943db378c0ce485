<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class CourseMarksType extends ValueType
{
    public const NAME = 'course_marks';

    protected function read(array $stored): mixed
    {
        return array_map(CourseMark::fromRow(...), Row::rows($stored));
    }
}
