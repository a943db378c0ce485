<?php

declare(strict_types=1);

namespace Lustrum\Action\Run;

use Lustrum\Domain\Finding\Consequence;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Domain\Finding\FailureInput;
use Lustrum\Domain\Trial\LoggedFailure;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\RunInput;
use Lustrum\Record\Along;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/** Failures that are logged with the end of a run: a run that is refused leaves none behind. */
final readonly class FailuresAlong implements Along
{
    public static function of(): string
    {
        return Run::class;
    }

    public function along(Record $record, RecordInput $input): array
    {
        return $record instanceof Run && $input instanceof RunInput ? self::with($record, $input->failures) : [];
    }

    /**
     * @param list<LoggedFailure> $failures
     *
     * @return list<array{class-string<Failure>, Uuid, FailureInput}>
     */
    public static function with(Run $record, array $failures): array
    {
        $out = [];
        foreach ($failures as $i => $logged) {
            $consequence = Consequence::tryFrom($logged->consequence === '' ? Consequence::Major->value : $logged->consequence)
                ?? throw Invalid::at("failures[$i].consequence", 'Minor, major or dangerous.');
            $out[] = [Failure::class, Uuid::fromString($logged->id), new FailureInput(
                $record->trial()->revision()->id()->toRfc4122(), $logged->mode, $logged->place, $consequence, note: $logged->note,
                run: $record->id()->toRfc4122(), article: $record->article()?->id()->toRfc4122(), question: $logged->question,
            )];
        }

        return $out;
    }
}
