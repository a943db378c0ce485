<?php

declare(strict_types=1);

namespace Lustrum\Action\Build;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\CurrentUser;
use Lustrum\Action\Run\Configurations;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Row;
use Lustrum\Domain\Revision\Correction;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\ParameterInput;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\PartInput;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Revision\RevisionInput;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Writing;
use Lustrum\Record\Written;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * It was always so: something about a build was written down wrongly. The runs that were made with it take over what is
 * put right, and the correction stays visible on the build and on each of them.
 */
final readonly class Correcting implements Writing
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private Configurations $configurations,
        private CurrentUser $user,
    ) {
    }

    public function takes(RecordInput $input): bool
    {
        return self::reason($input) !== '';
    }

    public function put(Uuid $id, RecordInput $input): Written
    {
        return $this->em->wrapInTransaction(function () use ($id, $input): Written {
            $class = match (true) {
                $input instanceof ParameterInput => Parameter::class,
                $input instanceof PartInput => Part::class,
                default => Revision::class,
            };
            $before = $this->em->find($class, $id);
            $was = $before instanceof Parameter || $before instanceof Part ? $before->name() : '';
            $written = $this->writer->put($class, $id, $input);
            if ($written->stale === []) {
                return $written;
            }
            $record = $this->records->find($class, $id, true);
            $build = $record instanceof Revision ? $record : (
                $record instanceof Parameter
                || $record instanceof Part ? $record->revision() : throw new \LogicException('One of the three.')
            );
            $this->mustHaveRoom($build);
            $runs = $this->apply($build, $record, $was);
            $build->corrected(new Correction(
                $this->what($record), self::reason($input), $this->user->name(), Instant::write(new \DateTimeImmutable()), $runs,
            ));
            $this->em->flush();

            return new Written($record->view(), $written->new, $written->stale);
        });
    }

    private static function reason(RecordInput $input): string
    {
        return $input instanceof ParameterInput || $input instanceof PartInput || $input instanceof RevisionInput ? trim($input->correction) : '';
    }

    private function mustHaveRoom(Revision $build): void
    {
        if (count($build->view()->corrections) >= Limit::LIST) {
            throw Invalid::at('correction', sprintf('At most %d corrections of one build.', Limit::LIST));
        }
    }

    /** @param Record<covariant RecordInput> $record */
    private function what(Record $record): string
    {
        return match (true) {
            $record instanceof Parameter => $record->name().' '.$record->text(),
            $record instanceof Part => $record->name().' '.$record->view()->material,
            $record instanceof Revision => $record->firmware(),
            default => '',
        };
    }

    /**
     * @param Record<covariant RecordInput> $record
     *
     * @return int how many runs took it over
     */
    private function apply(Revision $build, Record $record, string $was): int
    {
        $db = $this->em->getConnection();
        $id = $build->id()->toRfc4122();
        // Runs share what they were made with: a few rows stand for thousands of them.
        foreach ($db->fetchAllKeyValue(
            'SELECT c.hash, c.content FROM configuration c
             WHERE c.hash IN (SELECT r.configuration FROM run r JOIN trial t ON t.id = r.trial_id WHERE t.revision_id = ?)', [$id],
        ) as $hash => $content) {
            $row = Row::json($content);
            $changed = Configuration::fromRow(match (true) {
                $record instanceof Parameter => [
                    'parameters' => self::with($row['parameters'] ?? [], $was, get_object_vars($record->asFact())),
                ] + $row,
                $record instanceof Part => ['parts' => self::with($row['parts'] ?? [], $was, get_object_vars($record->asFact()))] + $row,
                default => ['firmware' => $build->firmware()] + $row,
            });
            $db->executeStatement(
                'UPDATE run SET configuration = ? WHERE configuration = ? AND trial_id IN (SELECT id FROM trial WHERE revision_id = ?)',
                [$this->configurations->keep($changed, $build->belongsTo()), $hash, $id],
            );
        }

        return Row::whole($db->fetchOne('SELECT count(*) FROM run r JOIN trial t ON t.id = r.trial_id WHERE t.revision_id = ?', [$id]));
    }

    /**
     * @param array<string, mixed> $fact
     *
     * @return list<array<string, mixed>>
     */
    private static function with(mixed $rows, string $was, array $fact): array
    {
        $out = [];
        $placed = false;
        foreach (is_array($rows) ? $rows : [] as $row) {
            if (is_array($row) && in_array($row['name'] ?? null, [$was, $fact['name']], true)) {
                $out[] = $fact;
                $placed = true;
            } elseif (is_array($row)) {
                /** @var array<string, mixed> $row */
                $out[] = $row;
            }
        }

        return $placed ? $out : [...$out, $fact];
    }
}
