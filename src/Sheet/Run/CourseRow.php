<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Core\CoreException;
use Lustrum\Core\Curve\Exponential;
use Lustrum\Core\Wording\CourseWords;
use Lustrum\Domain\Trial\Course;
use Lustrum\Domain\Trial\CourseMark;
use Lustrum\Domain\Trial\CourseView;

/** A course with what it comes to. */
final readonly class CourseRow
{
    /** Points that are drawn. */
    private const DRAWN = 400;

    /** So many values at least say where a course goes. */
    private const FITS = 5;

    /**
     * @param list<float>        $t       s, as many as are drawn
     * @param list<float>        $y
     * @param list<CourseResult> $results
     * @param string             $fit     where it goes and how fast; empty: nobody can tell
     * @param string             $origin  of a reading that is taken from it
     */
    private function __construct(
        public CourseView $course,
        public string $sentence,
        public array $t,
        public array $y,
        public array $results,
        public string $fit,
        public string $origin,
    ) {
    }

    public static function of(Course $course): self
    {
        $view = $course->view();
        $samples = $course->samples();
        $drawn = $samples->thinned(self::DRAWN);
        try {
            $fit = count($samples->t) < self::FITS ? '' : CourseWords::fit(Exponential::fit($samples), $view->unit);
        } catch (CoreException) {
            // Straight, flat, or over at once: it goes towards nothing that could be told.
            $fit = '';
        }

        return new self($view, CourseWords::sentence($view->name, $samples, $view->unit), $drawn->t, $drawn->y, array_map(
            static function (CourseMark $typed) use ($samples, $view): CourseResult {
                $mark = $typed->mark();
                $found = $mark->of($samples);

                return new CourseResult(
                    CourseWords::mark($mark, $found, $view->unit), CourseWords::found($mark, $found, $view->unit),
                    $mark->kind->isTime() ? $found : null,
                    $mark->kind->isTime(),
                );
            }, $view->marks,
        ), $fit, CourseWords::origin($view->name));
    }
}
