<?php

declare(strict_types=1);

namespace Lustrum\Http\Record;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;
use Lustrum\Http\Answer;
use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Inputs;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Registry;
use Lustrum\Record\WithdrawInput;
use Lustrum\Record\Writing;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Page;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

/** Writes records of every kind. */
final readonly class RecordController
{
    /** @param iterable<Writing> $writings */
    public function __construct(
        private Records $records,
        private RecordWriter $writer,
        private Registry $registry,
        private Inputs $inputs,
        private Connection $db,
        #[AutowireIterator(Writing::class)]
        private iterable $writings,
    ) {
    }

    /** Makes a record, or changes it under its version. Sent twice, it is one record. */
    public function put(string $kind, Uuid $id, Request $request): JsonResponse
    {
        $kind = $this->registry->named($kind);
        $input = $this->inputs->read($kind->input, Inputs::decode($request->getContent()));
        foreach ($this->writings as $writing) {
            if ($writing->takes($input)) {
                return Answer::written($writing->put($id, $input));
            }
        }

        return Answer::written($this->writer->put($kind->class, $id, $input));
    }

    /** Takes a record back, with a reason; it stays readable. */
    public function withdraw(string $kind, Uuid $id, #[Body] WithdrawInput $input): JsonResponse
    {
        return Answer::written($this->writer->withdraw($this->registry->named($kind)->class, $id, $input->because));
    }

    /** Everything that was done to one record, newest first; ?after= goes on. */
    #[Route('/api/history/{kind}/{id}', requirements: ['kind' => '[a-z]{1,30}', 'id' => Requirement::UUID], methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(HistoryPage::class)]
    public function history(string $kind, Uuid $id, Request $request): JsonResponse
    {
        $record = $this->records->find($this->registry->named($kind)->class, $id);
        $page = Page::after($request->query->getString('after'));
        $rows = $this->db->fetchAllAssociative(
            'SELECT id, at, author, was, became FROM history_entry WHERE record = ? AND kind = ? AND workspace = ?'
            .($page->at === null ? '' : ' AND (at, id) < (CAST(? AS timestamptz), CAST(? AS uuid))').' ORDER BY at DESC, id DESC LIMIT '.(Page::SIZE + 1),
            [$id->toRfc4122(), $kind, $record->workspace()->id()->toRfc4122(), ...($page->at === null ? [] : [$page->at, $page->id])],
        );
        $more = count($rows) > Page::SIZE;
        $rows = array_slice($rows, 0, Page::SIZE);
        $last = $rows[count($rows) - 1] ?? null;

        return new JsonResponse(new HistoryPage(array_map(static fn (array $r): HistoryLine => new HistoryLine(
            Row::text($r['id']), Row::text($r['author']), Instant::write(new \DateTimeImmutable(Row::text($r['at']))),
            $r['was'] === null ? null : Row::json($r['was']), Row::json($r['became']),
        ), $rows), $more && $last !== null ? Page::behind(Row::text($last['at']), Row::text($last['id'])) : null));
    }
}
