<?php

declare(strict_types=1);

namespace Lustrum\Exchange;

use Lustrum\Decision\Candidate;
use Lustrum\Decision\Decision;
use Lustrum\Device\Device;
use Lustrum\Device\Requirement;
use Lustrum\Finding\Cause;
use Lustrum\Finding\Failure;
use Lustrum\Finding\Observation;
use Lustrum\Finding\Photo;
use Lustrum\Method\Method;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Revision\Article;
use Lustrum\Revision\Change;
use Lustrum\Revision\Parameter;
use Lustrum\Revision\Part;
use Lustrum\Revision\Revision;
use Lustrum\Storage\Pictures;
use Lustrum\Trial\Reading;
use Lustrum\Trial\Run;
use Lustrum\Trial\Trial;

/** Writes a whole device as JSON; the format is described in docs/guide/formats.md. */
final readonly class Exporter
{
    public const FORMAT = 'lustrum-device';
    public const VERSION = 1;

    public function __construct(
        private Records $records,
        private Pictures $pictures,
    ) {
    }

    /** @return iterable<string> pieces of the file, so that a large device is never held as one text */
    public function pieces(Device $device): iterable
    {
        yield '{"format":"'.self::FORMAT.'","version":'.self::VERSION.',"exportedAt":"'.gmdate(\DATE_ATOM).'","device":'.self::json(self::row($device));
        $revisions = $this->all(Revision::class, ['device' => $device]);
        $trials = $this->all(Trial::class, ['revision' => $revisions]);
        $runs = $this->all(Run::class, ['trial' => $trials]);
        $failures = $this->all(Failure::class, ['revision' => $revisions]);
        $lists = [
            'requirements' => $this->all(Requirement::class, ['device' => $device]),
            'revisions' => $revisions,
            'parameters' => $this->all(Parameter::class, ['revision' => $revisions]),
            'parts' => $this->all(Part::class, ['revision' => $revisions]),
            'units' => $this->all(Article::class, ['revision' => $revisions]),
            'methods' => $this->all(Method::class, ['device' => $device]),
            'trials' => $trials,
            'runs' => $runs,
            'readings' => $this->all(Reading::class, ['run' => $runs]),
            'observations' => $this->all(Observation::class, ['revision' => $revisions]),
            'failures' => $failures,
            'causes' => $this->all(Cause::class, ['failure' => $failures]),
            'changes' => $this->all(Change::class, ['revision' => $revisions]),
            'decisions' => $this->all(Decision::class, ['revision' => $revisions]),
            'candidates' => $this->all(Candidate::class, ['revision' => $revisions]),
        ];
        foreach ($lists as $name => $list) {
            yield ',"'.$name.'":[';
            foreach ($list as $i => $record) {
                yield ($i === 0 ? '' : ',').self::json(self::row($record));
            }
            yield ']';
        }
        yield ',"photos":[';
        foreach ($this->all(Photo::class, ['revision' => $revisions]) as $i => $photo) {
            $picture = $this->pictures->has($photo->sha256()) ? base64_encode((string) stream_get_contents($this->pictures->open($photo->sha256(), false))) : '';
            yield ($i === 0 ? '' : ',').self::json(self::row($photo) + ['picture' => $picture]);
        }
        yield "]}\n";
    }

    /**
     * @param Record<covariant RecordInput> $record
     *
     * @return array<string, mixed>
     */
    private static function row(Record $record): array
    {
        return get_object_vars($record->view()) + $record->extra() + ['origin' => new Origin($record->createdAt()->format(\DATE_ATOM), $record->createdBy(), $record->version(), $record->withdrawnBecause())];
    }

    /**
     * @template T of Record
     *
     * @param class-string<T>      $class
     * @param array<string, mixed> $criteria
     *
     * @return list<T>
     */
    private function all(string $class, array $criteria): array
    {
        return in_array([], $criteria, true) ? [] : $this->records->all($class, $criteria, true);
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION);
    }
}
