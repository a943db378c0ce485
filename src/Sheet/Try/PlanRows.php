<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Core\CoreException;
use Lustrum\Core\Plan\Made;
use Lustrum\Core\Plan\Progress;
use Lustrum\Core\Plan\SettingSearch;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Trial\Trial;

/** The plan of a trial against what was made of it. */
final class PlanRows
{
    /**
     * @param list<Made>    $made
     * @param list<Article> $articles that are here
     * @param list<string>  $used     identifiers of articles, by run
     */
    public static function of(Trial $trial, array $made, array $articles, array $used): ?PlanRow
    {
        $finds = $trial->finds();
        if ($finds !== null && SettingSearch::isOpen($finds)) {
            return PlanRow::searching(SettingSearch::of($finds, $made), $articles, $used);
        }
        $layout = $trial->layout();
        if ($layout === null || !$layout->kind->isLaidOut()) {
            return null;
        }
        try {
            return PlanRow::of(Progress::of($layout, $trial->method()->factors(), $made), $trial->method()->minutes(), $articles, $used);
        } catch (CoreException) {
            // The method no longer varies what was planned; the plan stays, and can be laid out anew.
            return null;
        }
    }

    /**
     * @param list<RunDot> $dots
     *
     * @return list<string> articles of runs, in their order
     */
    public static function used(array $dots): array
    {
        return array_values(array_filter(array_map(static fn (RunDot $d): ?string => $d->article, $dots)));
    }
}
