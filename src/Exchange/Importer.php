<?php

declare(strict_types=1);

namespace Lustrum\Exchange;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\User;
use Lustrum\Account\Workspace;
use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Units;
use Lustrum\Decision\Candidate;
use Lustrum\Decision\CandidateInput;
use Lustrum\Decision\Decision;
use Lustrum\Decision\DecisionInput;
use Lustrum\Device\Device;
use Lustrum\Device\DeviceInput;
use Lustrum\Device\Requirement;
use Lustrum\Device\RequirementInput;
use Lustrum\Finding\Cause;
use Lustrum\Finding\CauseInput;
use Lustrum\Finding\Failure;
use Lustrum\Finding\FailureInput;
use Lustrum\Finding\Observation;
use Lustrum\Finding\ObservationInput;
use Lustrum\Finding\Photo;
use Lustrum\Finding\PhotoInput;
use Lustrum\Http\Problem;
use Lustrum\Method\Method;
use Lustrum\Method\MethodInput;
use Lustrum\Record\History;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\Stored;
use Lustrum\Revision\Article;
use Lustrum\Revision\ArticleInput;
use Lustrum\Revision\Change;
use Lustrum\Revision\ChangeInput;
use Lustrum\Revision\Parameter;
use Lustrum\Revision\ParameterInput;
use Lustrum\Revision\Part;
use Lustrum\Revision\PartInput;
use Lustrum\Revision\Revision;
use Lustrum\Revision\RevisionInput;
use Lustrum\Storage\Pictures;
use Lustrum\Trial\Reading;
use Lustrum\Trial\ReadingInput;
use Lustrum\Trial\Run;
use Lustrum\Trial\RunInput;
use Lustrum\Trial\Trial;
use Lustrum\Trial\TrialInput;
use Symfony\Component\Serializer\Exception\ExceptionInterface as SerializerException;
use Symfony\Component\Serializer\Normalizer\AbstractNormalizer;
use Symfony\Component\Serializer\Normalizer\DenormalizerInterface;
use Symfony\Component\Uid\Uuid;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/**
 * Reads a device from its JSON file, under new identifiers, so that it can stand beside the one it came from.
 *
 * Each record goes the same way as one that was typed in: input, validation, entity. All or nothing is stored.
 */
final readonly class Importer
{
    /** In the order in which they refer to each other. */
    private const KINDS = [
        'requirements' => [Requirement::class, RequirementInput::class], 'revisions' => [Revision::class, RevisionInput::class],
        'parameters' => [Parameter::class, ParameterInput::class], 'parts' => [Part::class, PartInput::class], 'units' => [Article::class, ArticleInput::class],
        'methods' => [Method::class, MethodInput::class], 'trials' => [Trial::class, TrialInput::class], 'runs' => [Run::class, RunInput::class],
        'readings' => [Reading::class, ReadingInput::class], 'observations' => [Observation::class, ObservationInput::class],
        'failures' => [Failure::class, FailureInput::class], 'causes' => [Cause::class, CauseInput::class], 'changes' => [Change::class, ChangeInput::class],
        'decisions' => [Decision::class, DecisionInput::class], 'candidates' => [Candidate::class, CandidateInput::class],
    ];

    private const REFERENCES = ['device', 'revision', 'parent', 'method', 'trial', 'article', 'run', 'failure', 'against', 'next', 'decision'];

    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private DenormalizerInterface $denormalizer,
        private ValidatorInterface $validator,
        private Pictures $pictures,
        private History $history,
    ) {
    }

    /**
     * @param array<array-key, mixed> $file
     *
     * @throws Problem with the place in the file that is wrong
     */
    public function import(array $file, Workspace $workspace, ?User $by): ImportView
    {
        if (($file['format'] ?? null) !== Exporter::FORMAT) {
            throw Problem::violation('format', 'This is not a device file of Lustrum. Export a device to see what one looks like.');
        }
        if (($file['version'] ?? null) !== Exporter::VERSION) {
            throw Problem::violation('version', sprintf('This file has format version %s; this Lustrum reads version %d.', is_scalar($file['version'] ?? null) ? (string) $file['version'] : '?', Exporter::VERSION));
        }

        return $this->em->wrapInTransaction(function () use ($file, $workspace, $by): ImportView {
            $ids = $this->identifiers($file);
            $row = self::row($file['device'] ?? null, 'device');
            $device = $this->one(Device::class, DeviceInput::class, ['workspace' => $workspace->id()->toRfc4122()] + $row, $ids, 'device');
            $count = 1;
            foreach (self::kinds() as $list => [$class, $input]) {
                foreach (self::rows($file, $list) as $i => $row) {
                    $this->one($class, $input, self::adapt($list, $row), $ids, $list.'/'.$i);
                    ++$count;
                }
            }
            $pictures = 0;
            foreach (self::rows($file, 'photos') as $i => $row) {
                $this->photo($row, $ids, 'photos/'.$i);
                ++$pictures;
            }
            $this->history->created($device, $by);
            $this->em->flush();

            return new ImportView($device->id()->toRfc4122(), $device instanceof Device ? $device->name() : '', $count + $pictures, $pictures);
        });
    }

    /**
     * @template I of RecordInput
     *
     * @param class-string<Record<I>>   $class
     * @param class-string<I>           $inputClass
     * @param array<string, mixed>      $row
     * @param array<string, string>     $ids
     *
     * @return Record<I>
     */
    private function one(string $class, string $inputClass, array $row, array $ids, string $path): Record
    {
        $id = $row['id'] ?? null;
        foreach (self::REFERENCES as $field) {
            $known = $row[$field] ?? null;
            if (is_string($known) && isset($ids[$known])) {
                $row[$field] = $ids[$known];
            }
        }
        try {
            $input = $this->denormalizer->denormalize($row, $inputClass, null, [AbstractNormalizer::ALLOW_EXTRA_ATTRIBUTES => true]);
        } catch (SerializerException $e) {
            throw Problem::violation($path, sprintf('This entry cannot be read: %s', self::plain($e->getMessage())));
        }
        if (!$input instanceof $inputClass) {
            throw Problem::violation($path, 'This entry cannot be read.');
        }
        foreach ($this->validator->validate($input) as $violation) {
            throw Problem::violation($path.'/'.$violation->getPropertyPath(), (string) $violation->getMessage());
        }
        try {
            $record = $class::start(Uuid::fromString($ids[is_string($id) ? $id : ''] ?? ''), $input, $this->records);
            $record->take($input, $this->records);
            $record->restore($row, $this->records);
        } catch (Problem $e) {
            throw Problem::violation($path.'/'.($e->violations[0]['path'] ?? ''), $e->violations[0]['message'] ?? $e->getMessage());
        } catch (CoreException $e) {
            throw Problem::violation($path.'/'.$e->path, $e->getMessage());
        } catch (\TypeError|\InvalidArgumentException|\ValueError) {
            throw Problem::violation($path, 'This entry does not have the shape that it should have.');
        }
        $origin = $row['origin'] ?? [];
        try {
            $record->cameFrom(Stored::one(Origin::class, (is_array($origin) ? $origin : []) + ['createdAt' => gmdate(\DATE_ATOM), 'createdBy' => '', 'version' => 1, 'withdrawnBecause' => null]));
        } catch (\TypeError|\Exception) {
            throw Problem::violation($path.'/origin', 'Who made this entry, and when, cannot be read.');
        }
        $this->em->persist($record);

        return $record;
    }

    /**
     * @param array<string, mixed>  $row
     * @param array<string, string> $ids
     */
    private function photo(array $row, array $ids, string $path): void
    {
        $encoded = $row['picture'] ?? null;
        $bytes = is_string($encoded) ? base64_decode($encoded, true) : false;
        if ($bytes === false || $bytes === '') {
            throw Problem::violation($path.'/picture', 'The picture is missing or damaged.');
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'lustrum');
        try {
            file_put_contents($file, $bytes);
            $stored = $this->pictures->take($file);
        } catch (Problem $e) {
            throw Problem::violation($path.'/picture', $e->getMessage());
        } finally {
            @unlink($file);
        }
        $this->one(Photo::class, PhotoInput::class, ['picture' => get_object_vars($stored)] + $row, $ids, $path);
    }

    /**
     * The records of each list; that class and input belong together is said by the table above, not by their types.
     *
     * @return array<string, array{class-string<Record<RecordInput>>, class-string<RecordInput>}>
     */
    private static function kinds(): array
    {
        return self::KINDS; // @phpstan-ignore return.type
    }

    /**
     * A new identifier for each in the file.
     *
     * @param array<array-key, mixed> $file
     *
     * @return array<string, string>
     */
    private function identifiers(array $file): array
    {
        $ids = [];
        foreach (['device' => [self::row($file['device'] ?? null, 'device')], ...array_combine([...array_keys(self::KINDS), 'photos'], array_map(static fn (string $l): array => self::rows($file, $l), [...array_keys(self::KINDS), 'photos']))] as $list => $rows) {
            foreach ($rows as $i => $row) {
                $id = $row['id'] ?? null;
                if (!is_string($id) || $id === '' || strlen($id) > 80) {
                    throw Problem::violation($list.'/'.$i.'/id', 'Each entry needs an identifier of its own.');
                }
                if (isset($ids[$id])) {
                    throw Problem::violation($list.'/'.$i.'/id', sprintf('The identifier “%s” is there twice.', $id));
                }
                $ids[$id] = Uuid::v7()->toRfc4122();
            }
        }

        return $ids;
    }

    /**
     * What an export shows in another shape than a form sends it.
     *
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private static function adapt(string $list, array $row): array
    {
        $measure = $row[$list === 'readings' ? 'typed' : 'measure'] ?? null;
        if (in_array($list, ['readings', 'parameters'], true) && is_array($measure) && is_numeric($measure['value'] ?? null) && is_string($measure['unit'] ?? null) && Units::knows($measure['unit'])) {
            // The exact value and resolution are restored afterwards; this text only has to be readable.
            return ['text' => sprintf('%.12g %s', $measure['value'], $measure['unit'])] + $row;
        }

        return $list === 'decisions' ? ['letter' => $row['nextLetter'] ?? ''] + $row : $row;
    }

    /**
     * @param array<array-key, mixed> $file
     *
     * @return list<array<string, mixed>>
     */
    private static function rows(array $file, string $list): array
    {
        $rows = $file[$list] ?? [];
        if (!is_array($rows) || !array_is_list($rows)) {
            throw Problem::violation($list, 'A list is wanted here.');
        }

        return array_map(static fn (mixed $row, int $i): array => self::row($row, $list.'/'.$i), $rows, array_keys($rows));
    }

    /** @return array<string, mixed> */
    private static function row(mixed $row, string $path): array
    {
        if (!is_array($row) || $row === [] || array_is_list($row)) {
            throw Problem::violation($path, 'This entry is missing or is not an object. The file may have been cut off.');
        }

        /** @var array<string, mixed> $row */
        return $row;
    }

    private static function plain(string $message): string
    {
        return preg_replace('/Lustrum\\\\(\w+\\\\)*/', '', mb_substr($message, 0, 200)) ?? '';
    }
}
