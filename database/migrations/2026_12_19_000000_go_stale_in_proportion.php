<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('kept_gardens', static function (Blueprint $table): void {
            // Midwinters of its own hemisphere as its plants were aged by; those kept until now are worked out anew.
            $table->unsignedInteger('winters')->default(0);
            // The questions of practice its plants turn on, each between spaces.
            $table->text('questions')->default(' ');
            // Of the rows that are kept of it: what comes out as before need not be written again.
            $table->string('digest', 32)->default('');
            // Until when one worker has it in hand, in seconds since 1970.
            $table->unsignedInteger('claimed_until')->default(0);
        });
    }

    public function down(): void
    {
        Schema::table('kept_gardens', static fn (Blueprint $table) => $table->dropColumn([
            'winters', 'questions', 'digest', 'claimed_until',
        ]));
    }
};
