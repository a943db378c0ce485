<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Question;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

/** A question as it is typed. */
final readonly class QuestionInput
{
    /**
     * @param string $metric what a 'yes' shows, by name or identifier
     * @param string $key    stable name in answers; made from the metric where it is not given
     * @param string $text   when it has held
     */
    public function __construct(
        #[Name]
        public string $metric,
        #[Assert\Regex('/^([a-z][a-zA-Z0-9]{0,39})?$/', message: 'A short name of letters and digits, beginning with a small letter.')]
        public string $key = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $text = '',
    ) {
    }

    /** @param list<string> $taken keys of the questions before it */
    public function question(array $taken): Question
    {
        return new Question($this->key === '' ? self::made($this->metric, $taken) : $this->key, trim($this->metric), trim($this->text));
    }

    /** @param list<string> $taken */
    private static function made(string $metric, array $taken): string
    {
        $words = preg_split('/[^a-z0-9]+/', mb_strtolower($metric), -1, \PREG_SPLIT_NO_EMPTY);
        $key = lcfirst(implode('', array_map(ucfirst(...), $words === false ? [] : $words)));
        $key = preg_match('/^[a-z]/', $key) === 1 ? substr($key, 0, 36) : 'question';
        for ($n = 2, $own = $key; in_array($own, $taken, true); ++$n) {
            $own = $key.$n;
        }

        return $own;
    }
}
