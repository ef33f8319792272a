import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import type {
  Device,
  FirstPerson,
  Invitation,
  JoinShed,
  NewPerson,
  Person,
  PersonChange,
  Session,
  SignIn,
  TakeOver,
} from '@brisk/contracts/people';
import type { Observable } from 'rxjs';

/** What the server answers about who is who. */
@Injectable({ providedIn: 'root' })
export class PeopleApi {
  private readonly http = inject(HttpClient);

  session(): Observable<Session> {
    return this.http.get<Session>('/api/session');
  }

  signIn(said: SignIn): Observable<Session> {
    return this.http.post<Session>('/api/session', said);
  }

  first(first: FirstPerson): Observable<Session> {
    return this.http.post<Session>('/api/session/first', first);
  }

  join(join: JoinShed): Observable<Session> {
    return this.http.post<Session>('/api/session/join', join);
  }

  takeOver(who: TakeOver): Observable<Session> {
    return this.http.post<Session>('/api/session/person', who);
  }

  leave(): Observable<Session> {
    return this.http.delete<Session>('/api/session');
  }

  people(): Observable<readonly Person[]> {
    return this.http.get<readonly Person[]>('/api/people');
  }

  add(person: NewPerson): Observable<Person> {
    return this.http.post<Person>('/api/people', person);
  }

  change(id: string, change: PersonChange): Observable<Person> {
    return this.http.put<Person>(`/api/people/${encodeURIComponent(id)}`, change);
  }

  devices(): Observable<readonly Device[]> {
    return this.http.get<readonly Device[]>('/api/devices');
  }

  putOut(device: string): Observable<unknown> {
    return this.http.delete(`/api/devices/${encodeURIComponent(device)}`);
  }

  invite(): Observable<Invitation> {
    return this.http.post<Invitation>('/api/invitations', {});
  }
}
