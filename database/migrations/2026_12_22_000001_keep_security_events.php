<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('security_events', static function (Blueprint $table): void {
            $table->id();
            $table->timestamp('at')->index();
            $table->string('kind', 40);
            $table->foreignId('user_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->foreignId('about_id')->nullable()->index()->constrained('users')->nullOnDelete();
            $table->string('network', 64)->nullable();
            $table->string('device', 20)->nullable();
            $table->string('says', 200)->nullable();
            $table->index(['kind', 'at']);
        });
    }

    public function down(): void
    {
        Schema::drop('security_events');
    }
};
