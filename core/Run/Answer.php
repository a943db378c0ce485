<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What a run says to a question of its method. */
enum Answer: string
{
    case Held = 'held';
    /** It held, and something nearly happened: it counts as held, and stands with the open failures until explained. */
    case OnlyJust = 'onlyJust';
    case Failed = 'failed';
    case NotLooked = 'notLooked';

    /**
     * What a run says to a question: as it was answered, else as the run ended.
     *
     * @param array<string, self> $given by question
     */
    public static function to(string $question, array $given, ?RunOutcome $outcome): self
    {
        if ($given !== []) {
            return $given[$question] ?? self::NotLooked;
        }

        return match ($outcome) {
            RunOutcome::Held => self::Held,
            RunOutcome::Failed => self::Failed,
            // Ended before the end point: it neither held nor failed.
            default => self::NotLooked,
        };
    }

    /** @return array<string, self> by question, as a run keeps them */
    public static function kept(mixed $json): array
    {
        $out = [];
        foreach (Row::rows(Row::json($json)) as $row) {
            $out[Row::text($row['question'] ?? '')] = self::tryFrom(Row::text($row['answer'] ?? '')) ?? self::NotLooked;
        }

        return $out;
    }

    /** Null where nobody looked. */
    public function held(): ?bool
    {
        return match ($this) {
            self::Held, self::OnlyJust => true,
            self::Failed => false,
            self::NotLooked => null,
        };
    }
}
