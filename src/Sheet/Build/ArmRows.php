<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Core\Wording\BuildWords;
use Lustrum\Domain\Revision\Arm;
use Lustrum\Domain\Revision\ArmValue;
use Lustrum\Domain\Revision\RevisionView;

/** The arms of a build, counted from its articles. */
final class ArmRows
{
    /**
     * @param list<ArticleRow> $articles
     *
     * @return list<ArmRow>
     */
    public static function of(RevisionView $revision, array $articles): array
    {
        return array_map(static function (Arm $arm) use ($revision, $articles): ArmRow {
            $own = array_filter($articles, static fn (ArticleRow $a): bool => $a->article->arm === $arm->name);
            $tried = count(array_filter($own, static fn (ArticleRow $a): bool => $a->runs > 0));
            $lost = count(array_filter($own, static fn (ArticleRow $a): bool => $a->lost > 0));

            return new ArmRow(
                $arm, implode(', ', array_map(static fn (ArmValue $v): string => $v->name.' '.$v->text, $arm->values)),
                count($own), $tried, $lost,
                $revision->chosenArm === $arm->name,
                BuildWords::arm($arm->planned, count($own), $tried, $lost, $arm->eliminated),
            );
        }, $revision->arms);
    }
}
