<?php

declare(strict_types=1);

namespace Lustrum\Action\Build;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Core\Said\ChangeLine;
use Lustrum\Domain\Finding\Observation;
use Lustrum\Domain\Finding\ObservationInput;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\ArticleView;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\Part;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/** Something was changed between two runs: one line makes it a difference that later runs carry; the line itself is kept. */
final readonly class Changing
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private AfterWrite $after,
    ) {
    }

    public function changed(Article $article, string $line): ArticleView
    {
        $of = ['revision' => $article->revision()];
        $said = ChangeLine::read(
            $line, array_map(static fn (Parameter $p): string => $p->name(), $this->records->all(Parameter::class, $of)),
            array_map(static fn (Part $p): string => $p->name(), $this->records->all(Part::class, $of)),
        ) ?? throw Invalid::at('text', 'What was changed?');
        if (mb_strlen($said->value) > Limit::NAME) {
            throw Invalid::at('text', sprintf('What it is now takes at most %d characters.', Limit::NAME));
        }

        return $this->em->wrapInTransaction(function () use ($article, $said, $line): ArticleView {
            $this->writer->amend(Article::class, $article->id(), $article->version(), static fn (Article $a) => $a->isOtherwise($said));
            $kept = $this->writer->make(Observation::class, Uuid::v7(), new ObservationInput(
                $article->revision()->id()->toRfc4122(), $article->serial().': '.trim($line),
            ));
            $this->em->flush();
            $this->after->written([$kept]);

            return $article->view();
        });
    }
}
