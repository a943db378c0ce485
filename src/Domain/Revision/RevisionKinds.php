<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Record\Kind;
use Lustrum\Record\Registration;

final class RevisionKinds implements Registration
{
    public static function kinds(): array
    {
        $of = ['revision' => 'revision'];

        return [
            new Kind(
                'revision', 'revisions', Revision::class, RevisionInput::class, RevisionView::class,
                ['device' => 'device', 'parent' => 'revision'], withdrawable: false,
            ),
            new Kind('parameter', 'parameters', Parameter::class, ParameterInput::class, ParameterView::class, $of),
            new Kind('part', 'parts', Part::class, PartInput::class, PartView::class, $of),
            new Kind('spending', 'spendings', Spending::class, SpendingInput::class, SpendingView::class, $of),
            new Kind('making', 'makings', Making::class, MakingInput::class, MakingView::class, ['article' => 'article']),
            new Kind('happening', 'happenings', Happening::class, HappeningInput::class, HappeningView::class, ['article' => 'article']),
            new Kind(
                'article', 'articles', Article::class, ArticleInput::class, ArticleView::class, $of + ['earlier' => 'revision'],
                withdrawable: false,
            ),
        ];
    }
}
