<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Core\CoreException;
use Lustrum\Core\Curve\Exponential;
use Lustrum\Core\Curve\Mark;
use Lustrum\Core\Curve\MarkKind;
use Lustrum\Core\Curve\Samples;
use Lustrum\Core\Curve\Standard;
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
     */
    private function __construct(
        public CourseView $course,
        public string $sentence,
        public array $t,
        public array $y,
        public array $results,
        public string $fit,
    ) {
    }

    public static function of(Course $course, float $confidence): self
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

        return new self(
            $view, CourseWords::sentence($view->name, $samples, $view->unit), $drawn->t, $drawn->y,
            array_map(
                static fn (CourseMark $typed): CourseResult => self::result($typed->mark(), $samples, $view, $confidence),
                $view->marks,
            ),
            $fit,
        );
    }

    private static function result(Mark $mark, Samples $samples, CourseView $view, float $confidence): CourseResult
    {
        if ($mark->kind === MarkKind::Standard) {
            return self::standard($mark, $samples, $view, $confidence);
        }
        $found = $mark->of($samples);

        return new CourseResult(
            CourseWords::mark($mark, $found, $view->unit), CourseWords::found($mark, $found, $view->unit),
            $mark->kind->isTime() ? $found : null, $mark->kind->isTime(), CourseWords::origin($view->name),
        );
    }

    private static function standard(Mark $mark, Samples $samples, CourseView $view, float $confidence): CourseResult
    {
        try {
            $standard = Standard::of($samples, $mark, $confidence);
        } catch (CoreException $e) {
            return new CourseResult($e->getMessage(), '', null, true, '');
        }

        return new CourseResult(
            CourseWords::standard($standard, $view->unit, $confidence), CourseWords::found($mark, $standard->time, $view->unit), null, true,
            CourseWords::standardOrigin($standard, $view->name, $view->unit),
        );
    }
}
