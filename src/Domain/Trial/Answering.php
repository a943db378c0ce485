<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Answer;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Shared\Refusal\Invalid;

/** The answers of a run, checked against its outcome: a run has no other outcome than its answers and how it ended. */
final class Answering
{
    /**
     * @return list<Answered> each question once
     *
     * @throws Invalid at the answer that is wrong
     */
    public static function sound(RunInput $input, Configuration $configuration): array
    {
        $known = array_column($configuration->questions, 'key');
        $seen = [];
        foreach ($input->answers as $i => $one) {
            if (!in_array($one->question, $known, true)) {
                throw self::invalid($i, 'question', 'The method of this run asks no such question.');
            }
            if (isset($seen[$one->question])) {
                throw self::invalid($i, 'question', 'This question is answered twice.');
            }
            $seen[$one->question] = $one->answer;
            if ($one->answer === Answer::OnlyJust && trim($one->note) === '') {
                throw self::invalid($i, 'note', 'What nearly happened?');
            }
        }
        self::mustAgree($input, $seen, count($known));

        return $input->answers;
    }

    /** @param array<string, Answer> $answers */
    private static function mustAgree(RunInput $input, array $answers, int $asked): void
    {
        $failed = in_array(Answer::Failed, $answers, true);
        if ($input->outcome === RunOutcome::Held && $failed) {
            throw Invalid::at('outcome', 'One of its questions was answered “failed”: then the run failed.');
        }
        if ($input->outcome === RunOutcome::Failed && $asked > 1 && $answers === []) {
            throw Invalid::at('answers', 'Which of its questions failed?');
        }
    }

    private static function invalid(int $i, string $field, string $sentence): Invalid
    {
        return Invalid::at(sprintf('answers[%d].%s', $i, $field), $sentence);
    }
}
