<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Database\QueryException;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** Whether the office can do its work, for whatever watches over it: the database is asked. */
final class UpController extends Controller
{
    public function __invoke(): Response
    {
        try {
            DB::table('gardens')->limit(1)->get('id');
        } catch (QueryException $fault) {
            report($fault);

            return response("The database does not answer.\n", 503, ['Content-Type' => 'text/plain']);
        }

        return response("up\n", 200, ['Content-Type' => 'text/plain']);
    }
}
